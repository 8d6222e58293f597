import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { fixCost, forgetCosts } from './fixCost';
import * as http from './http';

const fix = { label: 'Use 2.5 mm²', change: { kind: 'SetCable', cable: 'k2', kit: 'cable-2x25' } };
const move = (value: number, text: string) => ({ moves: { value, text, unit: 'EUR' }, lines: [] });

beforeEach(() => forgetCosts());
afterEach(() => vi.restoreAllMocks());

test('an amount is asked for once for each revision', async () => {
    const ask = vi.spyOn(http, 'ask').mockResolvedValue(move(12.4, '12.40'));
    expect(await fixCost(1, 4, fix)).toBe('+12.40 EUR');
    expect(await fixCost(1, 4, fix)).toBe('+12.40 EUR');
    expect(ask).toHaveBeenCalledTimes(1);
    ask.mockResolvedValue(move(-3, '-3.00'));
    expect(await fixCost(1, 5, fix)).toBe('-3.00 EUR');
    expect(ask).toHaveBeenCalledTimes(2);
});

test('a fix without a price difference leaves the quote unchanged', async () => {
    vi.spyOn(http, 'ask').mockResolvedValue(move(0, '0.00'));
    expect(await fixCost(1, 4, fix)).toBe('quote unchanged');
});

test('a role without prices is asked once', async () => {
    const ask = vi.spyOn(http, 'ask').mockRejectedValue(new http.Refusal('Not for your role.', 403));
    expect(await fixCost(1, 4, fix)).toBe('');
    expect(await fixCost(1, 5, fix)).toBe('');
    expect(ask).toHaveBeenCalledTimes(1);
});
