import { computed, shallowRef, type Ref } from 'vue';
import { pressedOnce } from '@/lib/once';
import type { TakeBack } from '@/lib/screen';
import type { BuildDay, BuildPicture, BuildSlot } from '@/types/generated/responses';

export interface DayList extends BuildDay {
    slots: BuildSlot[];
}

/**
 * Ticks on the list of steps. From the first tick on the rows keep their order until the stage is left or the plan is arranged by hand, and
 * a row that was ticked stays among them: nothing else slides under the thumb. A second press within a second counts once, and Undo takes
 * the last tick back.
 */
export function useTicked(
    build: () => BuildPicture | null,
    press: (step: string, done: boolean, minutes: number) => Promise<void>,
    takeBack: Ref<TakeBack | null>,
) {
    const frozen = shallowRef<DayList[] | null>(null);
    const stayed = shallowRef(new Set<string>());
    const once = pressedOnce();

    /** Days as they are listed: in the order of the plan, or in the order in which they stood when the first step was ticked. */
    const days = computed<DayList[]>(() => {
        const picture = build();
        const left = (picture?.days ?? []).map((day) => ({
            ...day,
            slots: picture?.slots.filter((s) => s.day === day.day) ?? [],
        }));
        if (!frozen.value) {
            return left;
        }
        const listed = new Set(picture?.slots.map((s) => s.id));
        const now = new Map(left.map((day) => [day.day, day]));
        const kept = frozen.value.map((day) => {
            const slots = now.get(day.day)?.slots ?? [];
            const used = new Set<BuildSlot>();
            const rows = day.slots.flatMap((slot) => {
                const same = slots.find((s) => s.id === slot.id && !used.has(s));
                if (same) {
                    used.add(same);
                }
                return same ?? (stayed.value.has(slot.id) && !listed.has(slot.id) ? slot : []);
            });
            const more = slots.filter((s) => !used.has(s));
            return { ...(now.get(day.day) ?? day), slots: [...rows, ...more] };
        });
        const more = left.filter((day) => !kept.some((k) => k.day === day.day));
        return [...kept, ...more].filter((d) => d.slots.length).sort((a, b) => a.day.localeCompare(b.day));
    });

    /** Whether the press counts. */
    function tick(step: string, title: string, done: boolean, minutes: number): boolean {
        if (!once(step)) {
            return false;
        }
        frozen.value ??= days.value;
        const ticked = new Set(stayed.value);
        if (done) {
            ticked.add(step);
        } else {
            ticked.delete(step);
        }
        stayed.value = ticked;
        takeBack.value = done ? { words: `Tick: ${title}`, act: () => void press(step, false, minutes) } : null;
        void press(step, done, minutes);
        return true;
    }

    /** Back to the order of the plan: it was arranged by hand. */
    function thaw(): void {
        frozen.value = null;
        stayed.value = new Set();
    }

    return { days, stayed, tick, thaw };
}
