import { useLocalStorage } from '@vueuse/core';
import { watch } from 'vue';
import type { JoinStep } from '@/types/generated/responses';

/** Whether windows are heard and felt: hands on a ladder cannot look at a screen. Chosen on this device. */
export const audible = useLocalStorage('ember-dusk-sound', false, { onError: () => undefined });

export type Cue = 'count' | 'open' | 'close';

/** Seconds before a window opens or closes that are counted. */
const COUNTED = 3;

/** Seconds until a window opens, 0 when it is open, and until it closes; null without a window. */
export interface Window {
    opens: number;
    closes: number | null;
}

/** Window of a step at a moment, in run seconds. */
export function windowAt(step: Pick<JoinStep, 'from' | 'to'>, now: number): Window {
    return { opens: Math.max(0, (step.from ?? 0) - now), closes: step.to === null ? null : step.to - now };
}

/** Cue between two moments of the same step; null if none. A page that slept says only the latest. */
export function cueBetween(before: Window, after: Window): Cue | null {
    const passed = (from: number, to: number, mark: number) => from > mark && to <= mark;
    if (before.closes !== null && after.closes !== null && passed(before.closes, after.closes, 0)) {
        return 'close';
    }
    if (before.opens > 0 && after.opens === 0) {
        return 'open';
    }
    for (let second = 1; second <= COUNTED; second++) {
        if (passed(before.opens, after.opens, second)) {
            return 'count';
        }
        if (
            before.opens === 0 &&
            before.closes !== null &&
            after.closes !== null &&
            passed(before.closes, after.closes, second)
        ) {
            return 'count';
        }
    }
    return null;
}

/** Tones in hertz with their seconds, and vibration in milliseconds on, off, on. */
const CUES: Record<Cue, { tones: [number, number][]; shakes: number[] }> = {
    count: { tones: [[660, 0.07]], shakes: [40] },
    open: { tones: [[990, 0.35]], shakes: [300] },
    close: {
        tones: [
            [440, 0.15],
            [330, 0.3],
        ],
        shakes: [120, 80, 120],
    },
};

let audio: AudioContext | undefined;

/** Plays a cue. A device without sound or vibration stays silent. */
export function play(cue: Cue): void {
    const { tones, shakes } = CUES[cue];
    navigator.vibrate?.(shakes);
    try {
        audio ??= new AudioContext();
        let at = audio.currentTime;
        for (const [hertz, seconds] of tones) {
            const tone = audio.createOscillator();
            const volume = audio.createGain();
            volume.gain.setValueAtTime(0.2, at);
            // Faded: a tone that stops at once clicks.
            volume.gain.exponentialRampToValueAtTime(0.001, at + seconds);
            tone.frequency.value = hertz;
            tone.connect(volume).connect(audio.destination);
            tone.start(at);
            tone.stop(at + seconds);
            at += seconds;
        }
    } catch {
        // No sound on this device.
    }
}

/** Plays the cues of the current step while they are wanted. */
export function useCues(step: () => JoinStep, now: () => number): void {
    watch([() => step().key, now], ([key, at], [beforeKey, before]) => {
        if (!audible.value || key !== beforeKey) {
            return;
        }
        const cue = cueBetween(windowAt(step(), before), windowAt(step(), at));
        if (cue) {
            play(cue);
        }
    });
}
