<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Changes\Runs;

use EmberDusk\Formats\Fields;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Plan\Changes\Change;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Scene;
use EmberDusk\Plan\Segment;
use EmberDusk\Values\InvalidInput;

/** Divides the pixels of a run into segments, each a light of its own; none makes it one light again. */
final readonly class SetSegments extends Change
{
    /** Segments of a run that boards commonly keep (common practice, no source). */
    private const MOST = 32;

    /**
     * @param  list<Segment>  $segments  an empty id is a new one
     * @param  int|null  $parts  equal parts in their place; their names stay where there are some
     */
    private function __construct(private string $run, private array $segments, private ?int $parts) {}

    public static function read(Fields $f, ShelfSource $shelf): self
    {
        $run = $f->string('run');

        return new self(
            $run,
            array_map(
                static fn(Fields $s): Segment => Segment::read(
                    new Fields(['id' => $s->stringOrNull('id') ?? '', 'run' => $run] + $s->all(), $s->pointer),
                ),
                $f->objects('segments'),
            ),
            $f->wholeOrNull('parts', 0, 20_000),
        );
    }

    protected function changed(Plan $plan): Plan
    {
        $count = $plan->of($plan->run($this->run))->pixels();
        if ($count === 0) {
            throw InvalidInput::at('/run', 'Only a run of pixels has segments. Choose its strip at Kit first.');
        }
        if (count($this->segments) > self::MOST) {
            throw InvalidInput::at('/segments', 'A run has at most ' . self::MOST . ' segments.');
        }
        if ($this->parts !== null) {
            $parts = $this->equal($this->parts, $count, $plan->run($this->run)->name());

            return (new self($this->run, $parts, null))->changed($plan);
        }
        $others = array_filter($plan->segments, fn(Segment $s): bool => $s->run !== $this->run);
        $mine = [];
        foreach ($this->segments as $n => $segment) {
            $this->fits($n, $segment, $count, $mine, $plan);
            $known = ($plan->segments[$segment->id]->run ?? null) === $this->run && !isset($mine[$segment->id]);
            $id = $known ? $segment->id : Plan::nextId('sg', $mine + $plan->segments);
            $mine[$id] = $segment->called($id);
        }

        return $plan->with(
            segments: $mine + $others,
            scenes: array_map(fn(Scene $s): Scene => $this->carried($s, $plan, array_keys($mine)), $plan->scenes),
        );
    }

    /**
     * So many parts of the same length, to a pixel.
     *
     * @return list<Segment>
     */
    private function equal(int $parts, int $pixels, string $run): array
    {
        $most = min(self::MOST, $pixels);
        if ($parts < 1 || $parts > $most) {
            throw InvalidInput::at('/parts', "{$run} can be divided into 1 to {$most} parts.");
        }

        return array_map(function (int $n) use ($parts, $pixels, $run): Segment {
            $first = intdiv($n * $pixels, $parts) + 1;
            $last = intdiv(($n + 1) * $pixels, $parts);

            return isset($this->segments[$n])
                ? $this->segments[$n]->over($first, $last)
                : new Segment('', $this->run, "{$run} " . ($n + 1), $first, $last);
        }, range(0, $parts - 1));
    }

    /**
     * The scene with the duties of the run at each segment, or those of its first lit segment at the run that is one light again.
     *
     * @param  list<string>  $segments
     */
    private function carried(Scene $scene, Plan $plan, array $segments): Scene
    {
        $levels = $scene->levels;
        if ($segments !== [] && isset($levels[$this->run])) {
            $levels += array_fill_keys($segments, $levels[$this->run]);
            unset($levels[$this->run]);
        }
        if ($segments === []) {
            foreach ($plan->segments as $id => $segment) {
                if ($segment->run === $this->run && isset($levels[$id])) {
                    $levels += [$this->run => $levels[$id]];
                }
            }
        }

        return $scene->lit($levels);
    }

    /** @param  array<string, Segment>  $before */
    private function fits(int $n, Segment $segment, int $count, array $before, Plan $plan): void
    {
        $at = "/segments/{$n}";
        if (trim($segment->name) === '') {
            throw InvalidInput::at("{$at}/name", 'Give the segment a name: scenes and the board use it.');
        }
        foreach ($plan->runs as $run) {
            if (mb_strtolower($run->name()) === mb_strtolower($segment->name)) {
                throw InvalidInput::at("{$at}/name", "A run is called “{$segment->name}” already.");
            }
        }
        if ($segment->last < $segment->first) {
            throw InvalidInput::at("{$at}/last", "“{$segment->name}” ends before it begins.");
        }
        if ($segment->last > $count) {
            throw InvalidInput::at(
                "{$at}/last",
                "The run has {$count} pixels; “{$segment->name}” ends at {$segment->last}.",
            );
        }
        foreach ($before as $other) {
            if (mb_strtolower($other->name) === mb_strtolower($segment->name)) {
                throw InvalidInput::at("{$at}/name", "Two segments are called “{$segment->name}”.");
            }
            if ($segment->first <= $other->last && $other->first <= $segment->last) {
                throw InvalidInput::at("{$at}/first", "“{$segment->name}” and “{$other->name}” have pixels in common.");
            }
        }
    }

    public function words(Plan $plan): string
    {
        $name = $plan->run($this->run)->name();

        $count = $this->parts ?? count($this->segments);

        return $count === 0 ? "{$name} is one light" : "{$name} in {$count} segments";
    }
}
