import { expect, test, vi } from 'vitest';
import { ref, shallowRef } from 'vue';
import { pressedOnce } from '@/lib/once';
import type { TakeBack } from '@/lib/screen';
import type { BuildPicture } from '@/types/generated/responses';
import { useTicked } from './ticked';

const slot = (id: string, day = '2026-12-01') => ({ id, day, from: 0, to: 30 });
const picture = (ids: string[], days = ['2026-12-01']) =>
    ({ slots: ids.map((id) => slot(id)), days: days.map((day) => ({ day })) }) as unknown as BuildPicture;

function list(ids: string[]) {
    const build = shallowRef(picture(ids));
    const pressed: [string, boolean][] = [];
    const takeBack = ref<TakeBack | null>(null);
    const ticked = useTicked(
        () => build.value,
        async (step, done) => void pressed.push([step, done]),
        takeBack,
    );
    const shown = () => ticked.days.value.flatMap((d) => d.slots.map((s) => s.id));
    return { build, pressed, takeBack, ticked, shown };
}

test('a ticked row stays where it was pressed while the plan moves on', () => {
    const { build, ticked, shown } = list(['dry', 'cut', 'glue']);
    ticked.tick('dry', 'Dry run', true, 30);
    // The plan puts the rest in another order.
    build.value = picture(['glue', 'cut']);
    expect(shown()).toEqual(['dry', 'cut', 'glue']);
    ticked.tick('glue', 'Glue', true, 30);
    build.value = picture(['cut']);
    expect(shown()).toEqual(['dry', 'cut', 'glue']);
    ticked.tick('cut', 'Cut', true, 30);
    build.value = picture([], []);
    expect(shown()).toEqual(['dry', 'cut', 'glue']);
    ticked.thaw();
    expect(shown()).toEqual([]);
});

test('a row that is not done after all stands once, where the plan has it', () => {
    const { build, ticked, shown, pressed } = list(['dry', 'cut']);
    ticked.tick('dry', 'Dry run', true, 30);
    build.value = picture(['cut']);
    vi.spyOn(performance, 'now').mockReturnValue(performance.now() + 5000);
    ticked.tick('dry', 'Dry run', false, 30);
    build.value = picture(['dry', 'cut']);
    expect(shown()).toEqual(['dry', 'cut']);
    expect(pressed).toEqual([
        ['dry', true],
        ['dry', false],
    ]);
    vi.restoreAllMocks();
});

test('a second press within a second counts once, on another row it counts', () => {
    const { ticked, pressed } = list(['dry', 'cut']);
    expect(ticked.tick('dry', 'Dry run', true, 30)).toBe(true);
    expect(ticked.tick('dry', 'Dry run', false, 30)).toBe(false);
    expect(ticked.tick('cut', 'Cut', true, 30)).toBe(true);
    expect(pressed).toEqual([
        ['dry', true],
        ['cut', true],
    ]);
    let now = 0;
    const once = pressedOnce(() => now);
    expect([once('a'), once('a')]).toEqual([true, false]);
    now = 999;
    expect(once('a')).toBe(false);
    now = 1000;
    expect(once('a')).toBe(true);
});

test('undo takes the last tick back', () => {
    const { ticked, pressed, takeBack } = list(['dry']);
    ticked.tick('dry', 'Dry run', true, 30);
    expect(takeBack.value?.words).toBe('Tick: Dry run');
    takeBack.value!.act();
    expect(pressed.at(-1)).toEqual(['dry', false]);
});
