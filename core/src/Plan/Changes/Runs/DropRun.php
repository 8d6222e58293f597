<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Changes\Runs;

use EmberDusk\Formats\Fields;
use EmberDusk\Plan\Changes\Change;
use EmberDusk\Plan\Feed;
use EmberDusk\Plan\LaidCable;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Requirement;
use EmberDusk\Plan\Run;
use EmberDusk\Values\ChangePayload;

/** Takes a run out with its feeds, cables, supply, controller and name. */
final readonly class DropRun implements Change
{
    private function __construct(private string $run) {}

    public static function for(string $run): self
    {
        return new self($run);
    }

    public static function read(Fields $f): self
    {
        return new self($f->string('run'));
    }

    public static function payload(string $run): ChangePayload
    {
        return ChangePayload::named('DropRun', run: $run);
    }

    public function apply(Plan $plan): Plan
    {
        $run = $plan->run($this->run);
        $others = array_filter($plan->runs, static fn(Run $r): bool => $r->id !== $run->id);
        $shared = [];
        foreach ($others as $other) {
            $shared[$other->supply ?? ''] = $shared[$other->controller ?? ''] = true;
        }
        // Units shared with other runs stay.
        $gone = array_diff_key([$run->supply ?? '' => true, $run->controller ?? '' => true], $shared);
        $feeds = array_filter($plan->feeds, static fn(Feed $f): bool => $f->run !== $run->id);
        $ends = array_diff_key($plan->feeds, $feeds) + $gone;

        return $plan
            ->with(
                runs: $others,
                supplies: array_diff_key($plan->supplies, $gone),
                controllers: array_diff_key($plan->controllers, $gone),
                feeds: $feeds,
                cables: array_filter(
                    $plan->cables,
                    static fn(LaidCable $c): bool => !isset($ends[$c->to]) && !isset($gone[$c->from]),
                ),
                lights: array_diff_key($plan->lights, $gone),
                options: array_filter($plan->options, static fn(Requirement $w): bool => $w->run !== $run->id),
            )
            ->pruned();
    }

    public function words(Plan $plan): string
    {
        return $plan->run($this->run)->name() . ' dropped';
    }
}
