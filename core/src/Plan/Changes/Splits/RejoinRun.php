<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Changes\Splits;

use EmberDusk\Formats\Fields;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Plan\Changes\Change;
use EmberDusk\Plan\Changes\Runs\SplitRun;
use EmberDusk\Plan\Feed;
use EmberDusk\Plan\LaidCable;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;
use EmberDusk\Plan\Split;
use EmberDusk\Values\ChangePayload;
use EmberDusk\Values\InvalidInput;

/** Rejoins a split run, fed as its first part is: restores its earlier feeds, or, if unknown, uses those of its first part. */
final readonly class RejoinRun extends Change
{
    private function __construct(private string $run) {}

    public static function read(Fields $f, ShelfSource $shelf): self
    {
        return new self($f->string('run'));
    }

    public static function for(string $run): self
    {
        return new self($run);
    }

    public static function payload(string $run): ChangePayload
    {
        return ChangePayload::named('BackTogether', run: $run);
    }

    /** The part that a run begins with. */
    public static function first(Plan $plan, Run $run): Run
    {
        return self::parts($plan, $run)[0];
    }

    protected function changed(Plan $plan): Plan
    {
        $run = $plan->run($this->run);
        if ($run->parts === 1 && $run->zones === []) {
            throw InvalidInput::at('/run', $run->name() . ' is whole.');
        }
        $parts = self::parts($plan, $run);
        $first = $parts[0];
        $split = $plan->splits[$first->id] ?? null;
        // Feeds of an earlier strip have no place on this one.
        $split = $split?->run->strip === $first->strip ? $split : null;
        $whole = $split->run ?? self::joined($parts);
        $feeds = $split->feeds ?? $plan->ways()->feedsOf($first);
        $cables = $split->cables ?? array_values(self::tails($plan, $first));
        $kit = $plan->kit;
        foreach ($parts as $part) {
            $plan = $plan->fedBy($part, []);
        }
        $plan = $plan->with(
            runs: [
                $first->id => $whole->fedAs($first)->notedAs($first),
            ] + array_diff_key($plan->runs, self::keyed($parts)),
        );

        return self::wired(
            plan: $plan,
            run: $plan->run($first->id),
            feeds: $feeds,
            cables: $cables,
            splices: $split->splices ?? [],
            kit: $kit,
        );
    }

    public function words(Plan $plan): string
    {
        return $plan->run($this->run)->whole() . ' back together';
    }

    /** @return non-empty-list<Run> in their order */
    private static function parts(Plan $plan, Run $run): array
    {
        $parts = array_filter(
            $plan->runs,
            static fn(Run $r): bool => $r->id !== $run->id && $r->place === $run->place && $r->word === $run->word,
        );
        $parts = [$run, ...array_values($parts)];
        usort($parts, static fn(Run $a, Run $b): int => $a->part <=> $b->part);

        return $parts;
    }

    /** @param  non-empty-list<Run>  $parts */
    private static function joined(array $parts): Run
    {
        [$sections, $jumps] = SplitRun::whole($parts);

        return $parts[0]->slice($parts[0]->id, 1, 1, $sections === [] ? $parts[0]->sections : $sections, $jumps);
    }

    /** @return array<string, LaidCable> to its feeds; where zones had supplies of their own, all from the first */
    private static function tails(Plan $plan, Run $run): array
    {
        $tails = [];
        foreach ($plan->ways()->feedsOf($run) as $feed) {
            foreach ($plan->ways()->wayTo($feed->id) as $id => $cable) {
                $tails[$id] =
                    isset($plan->supplies[$cable->from]) && $run->supply !== null ? $cable->from($run->supply) : $cable;
            }
        }

        return $tails;
    }

    /**
     * @param  non-empty-list<Run>  $parts
     * @return array<string, Run>
     */
    private static function keyed(array $parts): array
    {
        return array_combine(array_map(static fn(Run $r): string => $r->id, $parts), $parts);
    }

    /**
     * Feeds and cables with the ids that they had, where nothing else has them now.
     *
     * @param  list<Feed>  $feeds
     * @param  list<LaidCable>  $cables
     * @param  list<\EmberDusk\Plan\Splice>  $splices
     * @param  array<string, \EmberDusk\Kit\KitSnapshot>  $kit  as before anything was taken off
     */
    private static function wired(Plan $plan, Run $run, array $feeds, array $cables, array $splices, array $kit): Plan
    {
        $met = $plan->splices;
        foreach ($splices as $splice) {
            $met += [$splice->id => $splice];
        }
        $named = $fed = $laid = [];
        foreach ($feeds as $feed) {
            $id = isset(($plan->feeds + $fed)[$feed->id]) ? Plan::nextId('f', $plan->feeds + $fed) : $feed->id;
            $named[$feed->id] = $fed[$id] = new Feed($id, $run->id, $feed->pad);
        }
        $origin = $plan->ways()->origin($run) ?? '';
        foreach ($cables as $cable) {
            $to = $named[$cable->to]->id ?? $cable->to;
            if (isset($plan->splices[$to]) && $plan->ways()->cableTo($to) !== null) {
                continue;
            }
            $taken = $plan->cables + $laid;
            $id = isset($taken[$cable->id]) ? Plan::nextId('k', $taken) : $cable->id;
            $from = isset($met[$cable->from]) ? $cable->from : $origin;
            if ($from !== '') {
                $laid[$id] = $cable->like($id, $from, $to);
            }
        }

        return $plan->with(feeds: $fed + $plan->feeds, cables: $laid + $plan->cables, splices: $met, kit: $kit);
    }
}
