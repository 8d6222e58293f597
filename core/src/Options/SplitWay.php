<?php

declare(strict_types=1);

namespace EmberDusk\Options;

use EmberDusk\Kit\Controller;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Plan\Changes\Splits\RejoinRun;
use EmberDusk\Plan\Changes\Splits\SplitController;
use EmberDusk\Plan\Changes\Splits\SplitParts;
use EmberDusk\Plan\Changes\Splits\SplitRepeater;
use EmberDusk\Plan\Changes\Splits\SplitZones;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;
use EmberDusk\Values\ChangePayload;

/** One way to split a run: its name, the change that does it, or why it cannot be done. */
final readonly class SplitWay
{
    private function __construct(
        public string $how,
        public string $label,
        public ?ChangePayload $change,
        public string $refused = '',
    ) {}

    /** @return list<self> splits for a run of its kind; the first is the current layout */
    public static function all(Plan $plan, Run $run, int $parts, ShelfSource $shelf): array
    {
        $ways = [
            new self('now', 'Current layout', null),
            new self(
                'parts',
                $parts === 2 ? 'Halves side by side' : "{$parts} parts side by side",
                SplitParts::payload(run: $run->id, parts: $parts),
            ),
        ];
        if ($plan->strip($run->strip)?->switched() === false) {
            $ways[] = new self('zones', 'Two zones, the + cut, a supply each', SplitZones::payload(run: $run->id));
        } else {
            $ways[] = new self('second', 'A second controller', SplitController::payload(run: $run->id));
            $ways[] = self::repeater($plan, $run, $shelf);
        }
        if ($run->parts > 1 || $run->zones !== []) {
            $ways[] = new self('whole', 'Back together', RejoinRun::payload(run: $run->id));
        }

        $first = $run->parts > 1 || $run->zones !== [] ? RejoinRun::first($plan, $run) : null;
        $how = $plan->splits[$first->id ?? '']->how ?? '';

        // The current split equals the current layout.
        return array_values(
            array_filter(
                $ways,
                static fn(self $w): bool => $w->how !== $how || ($how === 'parts' && $run->parts !== $parts),
            ),
        );
    }

    private static function repeater(Plan $plan, Run $run, ShelfSource $shelf): self
    {
        $strip = $plan->strip($run->strip);
        if ($strip === null) {
            return new self('repeater', 'A repeater with its own supply', null, 'Choose a strip first.');
        }
        $kit = (new Choice($plan, true))->least(
            $shelf->ofKind('repeater'),
            Controller::class,
            static fn(Controller $c): bool => $c->repeats &&
                $c->channels >= count($strip->channels) &&
                $c->inputLeast <= $strip->volts &&
                $strip->volts <= $c->inputMost,
        );

        return new self(
            'repeater',
            'A repeater with its own supply',
            $kit === null ? null : SplitRepeater::payload(run: $run->id, kit: $kit->entry->id()),
            $kit === null
                ? sprintf(
                    'The shelf has no repeater of %d channels for %g V. Add one there first.',
                    count($strip->channels),
                    $strip->volts,
                )
                : '',
        );
    }
}
