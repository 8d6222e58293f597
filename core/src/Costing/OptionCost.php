<?php

declare(strict_types=1);

namespace EmberDusk\Costing;

use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;
use EmberDusk\Rates\JointMinutes;
use EmberDusk\Values\Figure;
use EmberDusk\Values\Input;

/** What an option costs and how long it takes: parts, joints, minutes. Cable and strip are rounded up to 0.1 m. */
final readonly class OptionCost
{
    /** Minutes of work (common practice, no source). */
    private const METRE = 5.0;

    private const DEVICE = 15.0;

    /**
     * @param  list<array{string, float|null}>  $lines  what, and what it costs; null where the shelf does not say
     */
    private function __construct(
        private Plan $plan,
        private array $lines,
        public int $joints,
        private float $metres,
        public int $devices,
    ) {}

    public static function of(Plan $plan, Run $run, ?KitSnapshot $hub): self
    {
        $prices = new Prices($plan);
        $counts = [];
        $kit = [];
        $joints = $devices = 0;
        $metres = 0.0;
        $add = static function (?KitSnapshot $snapshot, float $count) use (&$counts, &$kit): void {
            if ($snapshot !== null) {
                $id = $snapshot->entry->id();
                $kit[$id] = $snapshot;
                $counts[$id] = ($counts[$id] ?? 0.0) + $count;
            }
        };
        foreach ($plan->runs as $part) {
            if ($part->place !== $run->place || $part->word !== $run->word) {
                continue;
            }
            $channels = count($plan->strip($part->strip)->channels ?? []);
            $metres += $plan->cutMarks($part)?->length() ?? 0.0;
            $add(
                $plan->kit[$part->strip ?? ''] ?? null,
                ceil(10 * ($plan->cutMarks($part)?->length() ?? 0.0) - 1e-9) / 10,
            );
            $add($plan->kit[$plan->supplies[$part->supply ?? '']->kit ?? ''] ?? null, 1);
            $add($plan->kit[$plan->controllers[$part->controller ?? '']->kit ?? ''] ?? null, 1);
            $devices += 2;
            $trunk = $plan->cableTo($part->controller ?? '');
            $add($plan->kit[$trunk->kit ?? ''] ?? null, ceil(10 * ($trunk->length ?? 0.0) - 1e-9) / 10);
            $joints += $trunk === null ? 0 : 4;
            foreach ($plan->feedsOf($part) as $feed) {
                $tail = $plan->cableTo($feed->id);
                $add($plan->kit[$tail->kit ?? ''] ?? null, ceil(10 * ($tail->length ?? 0.0) - 1e-9) / 10);
                $joints += 2 * ($channels + 1);
            }
            $joints += 2 * ($channels + 1) * count($part->jumps);
        }
        $add($hub, 1);

        return new self(
            plan: $plan,
            lines: array_map(
                static fn(string $id): array => [$kit[$id]->entry->name(), $prices->for($kit[$id], $counts[$id])],
                array_keys($counts),
            ),
            joints: $joints,
            metres: $metres,
            devices: $devices,
        );
    }

    public function hours(): Figure
    {
        return new Figure(
            label: 'Hours',
            value: ($this->joints * JointMinutes::SOLDERED +
                $this->metres * self::METRE +
                $this->devices * self::DEVICE) /
                60,
            unit: 'h',
            decimals: 1,
            formula: '(J * j + L * m + D * d) / 60',
            inputs: [
                new Input('J', 'joints', $this->joints, ''),
                new Input('j', 'minutes a joint', JointMinutes::SOLDERED, 'min'),
                new Input('L', 'strip to fix', $this->metres, 'm'),
                new Input('m', 'minutes a metre', self::METRE, 'min'),
                new Input('D', 'supplies and controllers', $this->devices, ''),
                new Input('d', 'minutes each', self::DEVICE, 'min'),
            ],
            assumption: 'One person, nothing in the way.',
            source: 'common practice, no source',
        );
    }

    public function cost(): Figure
    {
        $inputs = [];
        foreach ($this->lines as $n => [$name, $price]) {
            $inputs[] = new Input(
                'p' . ($n + 1),
                $name . ($price === null ? ' (no price on the shelf)' : ''),
                $price ?? 0.0,
                $this->plan->terms->currency,
            );
        }
        $hours = $this->hours()->value;
        $inputs[] = new Input('h', 'hours', $hours, 'h');
        $inputs[] = new Input('r', 'an hour', $this->plan->terms->hourRate, $this->plan->terms->currency);

        return new Figure(
            label: 'Cost',
            value: array_sum(array_map(static fn(array $l): float => $l[1] ?? 0.0, $this->lines)) +
                $hours * $this->plan->terms->hourRate,
            unit: $this->plan->terms->currency,
            decimals: 2,
            formula: implode(' + ', array_map(static fn(Input $i): string => $i->symbol, array_slice($inputs, 0, -2))) .
                ($this->lines === [] ? '' : ' + ') .
                'h * r',
            inputs: $inputs,
            assumption: 'What the client owns counts as nothing; a hub that is missing is counted. Without tax.',
        );
    }
}
