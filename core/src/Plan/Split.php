<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

use EmberDusk\Formats\Fields;
use EmberDusk\Values\Copies;

/** State of a run before its split, to restore it. The id is that of the run, kept by its first part. */
final readonly class Split
{
    use Copies;

    /** Parallel parts on one controller; a part on its own controller; the + cut between zones; a part behind a repeater. */
    public const WAYS = ['parts', 'second', 'zones', 'repeater'];

    /**
     * @param  string  $how  of WAYS
     * @param  list<Feed>  $feeds
     * @param  list<LaidCable>  $cables  on the way to its feeds
     * @param  list<Splice>  $splices  that they pass
     * @param  list<string>  $added  supplies and controllers that came with the split
     */
    private function __construct(
        public string $id,
        public string $how,
        public Run $run,
        public array $feeds,
        public array $cables,
        public array $splices,
        public array $added = [],
    ) {}

    public static function of(Plan $plan, Run $run, string $how): self
    {
        $feeds = $plan->feedsOf($run);
        $cables = [];
        foreach ($feeds as $feed) {
            $cables += $plan->wayTo($feed->id);
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

    public static function read(Fields $f): self
    {
        return new self(
            id: $f->string('id'),
            how: $f->oneOf('how', self::WAYS),
            run: Run::read($f->object('run')),
            feeds: array_map(Feed::read(...), $f->objects('feeds')),
            cables: array_map(LaidCable::read(...), $f->objects('cables')),
            splices: array_map(Splice::read(...), $f->objects('splices')),
            added: $f->strings('added'),
        );
    }

    /** @return array<string, mixed> */
    public function write(): array
    {
        return [
            'id' => $this->id,
            'how' => $this->how,
            'run' => $this->run->write(),
            'feeds' => array_map(static fn(Feed $f): array => $f->write(), $this->feeds),
            'cables' => array_map(static fn(LaidCable $c): array => $c->write(), $this->cables),
            'splices' => array_map(static fn(Splice $s): array => $s->write(), $this->splices),
            'added' => $this->added,
        ];
    }
}
