<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Changes\Runs;

use EmberDusk\Formats\Fields;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Plan\Changes\Change;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;
use EmberDusk\Plan\Slices;
use EmberDusk\Values\ChangePayload;

/** Cuts a measured run into equal parts, each with separate kit; one part rejoins it. Its kit is removed. */
final readonly class SplitRun extends Change
{
    private function __construct(private string $run, private int $parts) {}

    public static function read(Fields $f, ShelfSource $shelf): self
    {
        return new self($f->string('run'), $f->whole('parts', 1, 8));
    }

    public static function payload(string $run, int $parts): ChangePayload
    {
        return ChangePayload::named('SplitRun', run: $run, parts: $parts);
    }

    protected function changed(Plan $plan): Plan
    {
        $run = $plan->run($this->run);
        $all = array_filter(
            $plan->runs,
            static fn(Run $r): bool => $r->place === $run->place && $r->word === $run->word,
        );
        usort($all, static fn(Run $a, Run $b): int => $a->part <=> $b->part);
        [$sections, $jumps] = self::whole($all);
        $first = $all[0];
        $options = $plan->options;
        foreach ($all as $part) {
            $plan = DropRun::for($part->id)->changed($plan);
        }

        return $plan->with(
            runs: self::cut(
                $first->measured($sections === [] ? $first->sections : $sections, $jumps),
                $this->parts,
                $plan->runs,
            ) + $plan->runs,
            options: $options,
        );
    }

    /**
     * A full run in equal parts, with nothing chosen for them yet; the first keeps its id.
     *
     * @param  array<string, Run>  $taken
     * @return non-empty-array<string, Run>
     */
    public static function cut(Run $whole, int $parts, array $taken): array
    {
        $runs = [];
        for ($part = 1; $part <= $parts; $part++) {
            $id = $part === 1 ? $whole->id : Plan::nextId("{$whole->id}-", $taken + $runs);
            [$cut, $leads] = Slices::from($whole->sections, $whole->jumps, $part, $parts);
            if ($cut !== []) {
                $runs[$id] = $whole->partOf($id, $part, $parts)->measured($cut, $leads);
            }
        }
        if ($runs === []) {
            return [$whole->id => $whole];
        }

        return $runs;
    }

    public function words(Plan $plan): string
    {
        return $plan->run($this->run)->whole() . ($this->parts === 1 ? ' rejoined' : " cut into {$this->parts} parts");
    }

    /**
     * The sections of all parts put together: what one part ends in, the next one goes on with.
     *
     * @param  list<Run>  $parts  in their order
     * @return array{list<float>, list<float>}
     */
    public static function whole(array $parts): array
    {
        $sections = $jumps = [];
        foreach ($parts as $part) {
            foreach ($part->sections as $n => $length) {
                if ($n === 0 && $sections !== []) {
                    $sections[count($sections) - 1] += $length;
                } else {
                    if ($sections !== []) {
                        $jumps = [...$jumps, $part->jumps[$n - 1] ?? 0.0];
                    }
                    $sections[] = $length;
                }
            }
        }

        return [array_map(static fn(float $l): float => round($l, 4), $sections), $jumps];
    }
}
