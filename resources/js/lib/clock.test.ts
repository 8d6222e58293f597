import { beforeEach, expect, test, vi } from 'vitest';

beforeEach(() => vi.resetModules());

const MOMENT = 1_800_000_000_000;

test('the time is this device’s own until the server was heard, then the server’s', async () => {
    vi.spyOn(Date, 'now').mockReturnValue(MOMENT);
    const { heardTime, serverNow } = await import('./clock');
    expect(serverNow()).toBe(MOMENT);
    // An hour ahead, heard within 200 ms.
    heardTime(MOMENT + 3_600_000, MOMENT - 100, MOMENT + 100);
    expect(serverNow()).toBe(MOMENT + 3_600_000);
});

test('a slower answer does not spoil a surer measure, unless the clock was set again', async () => {
    vi.spyOn(Date, 'now').mockReturnValue(MOMENT);
    const { heardTime, serverNow } = await import('./clock');
    heardTime(MOMENT + 5000, MOMENT - 10, MOMENT + 10);
    heardTime(MOMENT + 5600, MOMENT - 1000, MOMENT + 1000);
    expect(serverNow()).toBe(MOMENT + 5000);
    // No answer that took two seconds can be twenty off.
    heardTime(MOMENT + 25_000, MOMENT - 1000, MOMENT + 1000);
    expect(serverNow()).toBe(MOMENT + 25_000);
});

test('a moment is told in the crew’s zone', async () => {
    const { liveIn, said } = await import('./clock');
    liveIn('EST5EDT');
    expect(said('2027-01-01T02:30:00Z', { hour: '2-digit', minute: '2-digit' })).toBe('21:30');
});
