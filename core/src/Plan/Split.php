<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\JsonReadable;
use EmberDusk\Formats\Record\Record;

/** State of a run before its split, to restore it. The id is that of the run, kept by its first part. */
final readonly class Split implements JsonReadable
{
    use Record;

    /** Parallel parts on one controller; a part on its own controller; the + cut between zones; a part behind a repeater. */
    public const WAYS = ['parts', 'second', 'zones', 'repeater'];

    /**
     * @param  string  $how  way of the split
     * @param  list<Feed>  $feeds
     * @param  list<LaidCable>  $cables  on the way to its feeds
     * @param  list<Splice>  $splices  that they pass
     * @param  list<string>  $added  supplies and controllers that came with the split
     */
    private function __construct(
        public string $id,
        #[Field(oneOf: self::WAYS)] public string $how,
        public Run $run,
        #[Field(of: Feed::class)] public array $feeds,
        #[Field(of: LaidCable::class)] public array $cables,
        #[Field(of: Splice::class)] public array $splices,
        #[Field(of: Field::TEXTS)] public array $added = [],
    ) {}

    public static function for(Plan $plan, Run $run, string $how): self
    {
        $feeds = $plan->ways()->feedsOf($run);
        $cables = [];
        foreach ($feeds as $feed) {
            $cables += $plan->ways()->wayTo($feed->id);
        }
        $ends = array_fill_keys(array_map(static fn(LaidCable $c): string => $c->from, $cables), true);

        return new self(
            id: $run->id,
            how: $how,
            run: $run,
            feeds: $feeds,
            cables: array_values($cables),
            splices: array_values(array_intersect_key($plan->splices, $ends)),
        );
    }

    public function adding(string ...$units): self
    {
        return $this->withChanged(added: [...$this->added, ...array_values($units)]);
    }
}
