import { computed, onBeforeUnmount } from 'vue';
import { drop, keep, openPage, own, unsent, type Page, type Unsent } from './outbox';

/** A log entry: a reading, observation, fix, remark or strike-out. */
export type Note = {
    kind: 'reading' | 'colour' | 'count' | 'mend' | 'remark' | 'fail' | 'strike';
    place: string;
    command: string;
    value: number | null;
    text: string;
    by: string;
    sure: boolean;
    practice: number | null;
};

/** A press on a step's tick. */
export type Tick = { step: string; done: boolean; minutes: number };

/** Key of a job's open page. */
export const pageOf = (job: number) => `job ${job}`;

/** Ticks and log entries of a job, through the outbox: without a signal they wait there, even after the page is closed. */
export function useTicks(job: number, page: () => Page) {
    onBeforeUnmount(openPage(pageOf(job), page));
    const here = computed(() => unsent.value.filter((e) => e.page === pageOf(job) && own(e)));
    const ticks = computed(() => here.value.filter((e) => e.kind === 'tick') as Unsent<Tick>[]);

    return {
        press: (step: string, done: boolean, minutes: number) =>
            keep({
                kind: 'tick',
                url: `/jobs/${job}/build/tick`,
                page: pageOf(job),
                body: { step, done, minutes },
            }),
        note: (entry: Note) => keep({ kind: 'note', url: `/jobs/${job}/bench/log`, page: pageOf(job), body: entry }),
        drop,
        /** Entries of the log that have not arrived yet. */
        notes: computed(() => here.value.filter((e) => e.kind === 'note' && !e.refused) as Unsent<Note>[]),
        refused: computed(() => here.value.filter((e) => e.refused)),
        /** State of a step after the unsent ticks; undefined without any. */
        last: (step: string) => ticks.value.filter((e) => e.body.step === step && !e.refused).at(-1)?.body,
    };
}
