import { computed, shallowRef, type Ref } from 'vue';
import { pressedOnce } from '@/lib/once';
import type { TakeBack } from '@/lib/screen';
import type { BuildDay, BuildPicture, BuildSlot } from '@/types/generated/responses';

/** A slot of a step that was ticked here, with its day and the slots that stood before it there. */
interface Stay {
    slot: BuildSlot;
    day: BuildDay;
    before: string[];
}

export interface DayList extends BuildDay {
    slots: BuildSlot[];
}

/**
 * Ticks on the list of steps. A row that was ticked stays where it was until the stage is left, so that nothing else slides under the
 * thumb. A second press within a second counts once, and Undo takes the last tick back.
 */
export function useTicked(
    build: () => BuildPicture | null,
    press: (step: string, done: boolean, minutes: number) => Promise<void>,
    takeBack: Ref<TakeBack | null>,
) {
    const stays = shallowRef<Stay[]>([]);
    const once = pressedOnce();

    /** Days as they are listed: what is left to do, and what was ticked on this page at its old place. */
    const days = computed<DayList[]>(() => {
        const picture = build();
        const listed = new Set(picture?.slots.map((s) => s.id));
        const kept = stays.value.filter((s) => !listed.has(s.slot.id));
        const all = new Map([...kept.map((s) => s.day), ...(picture?.days ?? [])].map((d) => [d.day, d]));
        return [...all.values()]
            .sort((a, b) => a.day.localeCompare(b.day))
            .map((day) => {
                const slots = picture?.slots.filter((s) => s.day === day.day) ?? [];
                for (const stay of kept.filter((s) => s.day.day === day.day)) {
                    const at = slots.findLastIndex((s) => stay.before.includes(s.id));
                    slots.splice(at + 1, 0, stay.slot);
                }
                return { ...day, slots };
            });
    });
    const stayed = computed(() => new Set(stays.value.map((s) => s.slot.id)));

    /** Whether the press counts. */
    function tick(step: string, title: string, done: boolean, minutes: number): boolean {
        if (!once(step)) {
            return false;
        }
        if (done) {
            const known = new Set(stays.value.map((s) => s.slot.id));
            const more = days.value.flatMap((day) =>
                day.slots.flatMap((slot, n) =>
                    slot.id === step && !known.has(step)
                        ? [{ slot, day, before: day.slots.slice(0, n).map((s) => s.id) }]
                        : [],
                ),
            );
            stays.value = [...stays.value, ...more];
        }
        takeBack.value = done
            ? {
                  words: `Tick: ${title}`,
                  act: () => void press(step, false, minutes),
              }
            : null;
        void press(step, done, minutes);
        return true;
    }

    return { days, stayed, tick };
}
