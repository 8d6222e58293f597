import { beforeEach, describe, expect, it } from 'vitest';
import {
    goToStep,
    guide,
    guidePage,
    guideStep,
    marksOf,
    pauseGuide,
    resumeGuide,
    startGuide,
    stepDone,
    STEPS,
} from './guide';

describe('first steps', () => {
    beforeEach(() => startGuide(7, 'cove'));

    it('has five steps and is done after the last', () => {
        expect(STEPS).toHaveLength(5);
        STEPS.forEach((_, n) => stepDone(n));
        expect(guide.value.state).toBe('done');
        expect(guideStep.value).toBeUndefined();
    });

    it('goes on only from the step whose act was done', () => {
        stepDone(2);
        expect(guide.value.step).toBe(0);
        stepDone(0);
        expect(guideStep.value?.title).toBe('Read the light along the run');
    });

    it('resumes where it was left', () => {
        goToStep(3);
        pauseGuide();
        stepDone(3);
        expect([guide.value.step, guideStep.value]).toEqual([3, undefined]);
        resumeGuide();
        expect(guideStep.value).toBe(STEPS[3]);
    });

    it('does not go back before the first step', () => {
        goToStep(-1);
        expect(guide.value.step).toBe(0);
    });

    it('marks the ribbon and the button of its own run', () => {
        expect(marksOf(STEPS[2]!)).toEqual(['article[data-run="cove"] [data-guide=ends]', '[data-opens="cove"]']);
    });

    it('leads to the page of a step, at the run', () => {
        expect(STEPS.map(guidePage)).toEqual([
            '/',
            '/jobs/7/wire#cove',
            '/jobs/7/wire#cove',
            '/jobs/7/wire#cove',
            '/jobs/7/parts#cove',
        ]);
    });
});
