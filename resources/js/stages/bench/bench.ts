import { computed, ref, shallowRef, watch } from 'vue';
import { ask, inWords } from '@/lib/http';
import { onlyNewest } from '@/lib/newest';
import { useTicks, type Note } from '@/lib/ticks';
import type { ScreenStore } from '@/lib/screen';
import type { BenchAnswer, BenchTest } from '@/types/generated/responses';

/** Answer for neighbours of different colours. */
export const MANY = -1;
/** Answer for effects that run past the last pixel. */
export const OFF_THE_END = -1;

/** The bench of one run: its state from the core, and the ways to enter observations, readings and fixes. */
export function useBench(job: number, store: ScreenStore, first: BenchAnswer) {
    const looked = shallowRef(first);
    const refused = ref('');
    const busy = ref(false);
    const bench = computed(() => looked.value.bench);
    const practice = computed(() => looked.value.practice);
    const box = useTicks(job, () => ({ take: () => void refresh() }));
    const query = (run: string) => `run=${run}${practice.value ? `&practice=${practice.value.id}` : ''}`;

    /** The run that was chosen last: another may still be shown. */
    let run = first.bench.run;
    const hear = onlyNewest<BenchAnswer>(
        (said) => ((looked.value = said), (refused.value = ''), (busy.value = false)),
        (why) => ((refused.value = why), (busy.value = false)),
    );

    function look(): Promise<void> {
        busy.value = true;
        return hear(ask<BenchAnswer>('GET', `/jobs/${job}/bench/look?${query(run)}`));
    }
    async function refresh(): Promise<void> {
        await Promise.all([look(), store.reload()]);
    }
    async function choose(which: string): Promise<void> {
        run = which;
        await look();
        const at = new URL(window.location.href);
        at.searchParams.set('run', run);
        history.replaceState(history.state, '', at);
    }
    const note = (what: Partial<Note> & Pick<Note, 'kind' | 'place'>) =>
        box.note({
            command: '',
            value: null,
            text: '',
            by: '',
            sure: false,
            practice: practice.value?.id ?? null,
            ...what,
        });

    /** Starts a practice with random or entered faults. */
    async function practise(seed: number, faults: string[]): Promise<void> {
        busy.value = true;
        try {
            looked.value = await ask<BenchAnswer>('POST', `/jobs/${job}/bench/practices`, { seed, faults });
            await look();
        } catch (error) {
            refused.value = inWords(error);
        } finally {
            busy.value = false;
        }
    }
    async function leave(): Promise<void> {
        looked.value = { ...looked.value, practice: null };
        await look();
    }
    /** Lamps or meter of the practice. */
    async function simulation(body: object): Promise<number | null> {
        try {
            const said = await ask<{ shows: number }>('POST', `/jobs/${job}/bench/practices/${practice.value?.id}`, {
                run: bench.value.run,
                ...body,
            });
            refused.value = '';
            return said.shows;
        } catch (error) {
            refused.value = inWords(error);
            return null;
        }
    }
    const isDone = (test: BenchTest) => box.last(test.id)?.done ?? box.last(test.step)?.done ?? test.done;
    // Undo, or another person's change, may have moved the wiring under the readings.
    watch(
        () => store.answer.value.revision,
        () => void look(),
    );

    return { bench, practice, refused, busy, box, look, choose, note, practise, leave, simulation, isDone };
}

export type Bench = ReturnType<typeof useBench>;
