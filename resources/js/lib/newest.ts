import { inWords } from './http';

/** Of several questions on their way only the newest is heard: an answer that comes late does not take a page back. */
export function onlyNewest<Said>(heard: (said: Said) => void, refused: (why: string) => void) {
    let asked = 0;
    return async (question: Promise<Said>): Promise<void> => {
        const mine = ++asked;
        try {
            const said = await question;
            if (mine === asked) {
                heard(said);
            }
        } catch (error) {
            if (mine === asked) {
                refused(inWords(error));
            }
        }
    };
}
