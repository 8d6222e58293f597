<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Ratings;

use EmberDusk\Checks\JudgedJob;
use EmberDusk\Checks\Supply\SupplyVolts;
use EmberDusk\Kit\Supply;
use EmberDusk\Plan\Plan;
use EmberDusk\Values\Range;

/** Volts at the input of a load: those of its supply at no load, of a bank from empty to on charge. */
final readonly class InputVolts implements Quantity
{
    public function code(): string
    {
        return 'input-volts';
    }

    public function subject(): string
    {
        return 'job';
    }

    public function rule(): string
    {
        return 'fixtures, pixels, modules and boards get no more volts than they are rated for, on charge too; without a rating 1.1 times their volts';
    }

    public function unit(): string
    {
        return 'V';
    }

    public function range(JudgedJob $job, KitUse $part): ?Range
    {
        $volts = array_map(
            static fn(Supply $s): Range => new Range($s->lowest ?? $s->emf, $s->charging ?? $s->emf),
            self::supplies($job->plan, $part),
        );
        if ($volts === []) {
            return null;
        }

        return new Range(
            min(array_map(static fn(Range $v): float => $v->low, $volts)),
            max(array_map(static fn(Range $v): float => $v->high, $volts)),
        );
    }

    /** On a bank a resistor-limited strip is judged by the current that it takes there. */
    public function assumes(JudgedJob $job, KitUse $part): bool
    {
        return $part->list !== 'runs' || $part->kit->kind() === 'pixels';
    }

    public function words(float $number, float $limit, bool $most): string
    {
        return sprintf('%.1f V at its input, %s %g V', $number, $most ? 'rated' : 'needs', $limit);
    }

    public function advice(): string
    {
        return 'Too many volts destroy it, too few leave it dark or unstable. Choose a supply or a converter of its volts.';
    }

    /** @return list<Supply> that feed a load; none where its own check judges the supply's volts */
    private static function supplies(Plan $plan, KitUse $part): array
    {
        $ids = match ($part->list) {
            'fixtures' => [$plan->ways()->supplyBehind($plan->ways()->cableTo($part->id)->from ?? '')],
            'runs' => $plan->ways()->suppliesOf($plan->runs[$part->id]),
            'items' => self::ofItem($plan, (string) $plan->items[$part->id]->on),
            default => [],
        };
        $supplies = array_filter(array_map($plan->supply(...), $ids));
        $strip = $part->list === 'runs' ? $plan->strip($plan->runs[$part->id]->strip) : null;
        if ($strip !== null) {
            $supplies = array_filter($supplies, static fn(Supply $s): bool => SupplyVolts::suits($s, $strip));
        }

        return array_values($supplies);
    }

    /** @return list<string> */
    private static function ofItem(Plan $plan, string $on): array
    {
        if (isset($plan->runs[$on])) {
            return $plan->ways()->suppliesOf($plan->runs[$on]);
        }

        return isset($plan->supplies[$on]) ? [$on] : [];
    }
}
