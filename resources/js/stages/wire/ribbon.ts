import { scaleLinear, type ScaleLinear } from 'd3-scale';
import { inject, type ComputedRef, type InjectionKey, type Ref } from 'vue';
import type { WireRun } from '@/types/generated/responses';

export type Shown = 'light' | 'volts' | 'amps' | 'colour';

/** Shared data of the parts of a ribbon: its run, metres to pixels, and the heights of its rows. */
export interface RibbonFrame {
    run: ComputedRef<WireRun>;
    x: ComputedRef<ScaleLinear<number, number>>;
    width: Ref<number>;
}

export const RIBBON: InjectionKey<RibbonFrame> = Symbol('ribbon');

export const ROW = {
    box: 0,
    boxHeight: 50,
    tails: 50,
    pin: 120,
    strip: 138,
    stripHeight: 26,
    ruler: 164,
    curve: 196,
    curveHeight: 112,
    all: 334,
};

export function useRibbon(): RibbonFrame {
    const frame = inject(RIBBON);
    if (!frame) {
        throw new Error('This belongs inside a ribbon.');
    }
    return frame;
}

/** The eye's colour of a light level: full at 1, ember where it is dull. The key beside the ribbon uses the same scale. */
export function lightColour(colours: string[]): (light: number) => string {
    const channels = colours.map((c) => [1, 3, 5].map((n) => parseInt(c.slice(n, n + 2), 16)));
    const full = [0, 1, 2].map((n) =>
        Math.round(channels.reduce((sum, c) => sum + (c[n] ?? 0), 0) / Math.max(1, channels.length)),
    );
    return scaleLinear<string>()
        .domain([0.45, 0.65, 0.8, 0.9, 1])
        .range(['#5c2412', '#97380f', '#d06a26', '#f3a95c', `rgb(${full.join(',')})`])
        .clamp(true);
}
