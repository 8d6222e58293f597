<?php

declare(strict_types=1);

namespace EmberDusk\Control;

use EmberDusk\Joining\Roster;
use EmberDusk\Joining\Unit;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Scene;
use EmberDusk\Plan\Show;
use EmberDusk\Plan\Trigger;

/** Functions that scenes, shows and phones need from an app besides room: fades, colours of a pattern, short steps. */
final readonly class Abilities
{
    /** Functions in the words of an app. */
    private const LACKING = [
        'colour' => 'colours',
        'white' => 'white temperatures',
        'fade' => 'fades',
        'scene' => 'scenes',
        'show' => 'shows',
        'schedule' => 'times of day',
        'presence' => 'presence',
    ];

    private function __construct(private Plan $plan, private Unit $unit) {}

    /**
     * @param  list<string>  $lights  that it works
     * @return list<LimitClash>
     */
    public static function for(Plan $plan, Roster $roster, Unit $unit, array $lights): array
    {
        return (new self($plan, $unit))->all($roster, $lights);
    }

    /**
     * @param  list<string>  $lights  that it works
     * @return list<LimitClash>
     */
    private function all(Roster $roster, array $lights): array
    {
        return [...$this->lacks($roster, $lights), ...$this->phones(), ...$this->shows($lights)];
    }

    /**
     * @param  list<string>  $lights
     * @return list<LimitClash>
     */
    private function lacks(Roster $roster, array $lights): array
    {
        $clashes = [];
        foreach ($this->unit->leaflet->lacks as $function) {
            $asked = self::asked($this->plan, $roster, $function, $lights);
            if ($asked === []) {
                continue;
            }
            $other = self::instead($roster, $this->unit, $function);
            $clashes[] = new LimitClash(
                LimitClash::LACKS,
                $this->unit->item,
                "{$this->unit->called()} has no " . (self::LACKING[$function] ?? $function),
                'Needed by ' .
                    implode(', ', $asked) .
                    '. ' .
                    ($other === null
                        ? 'No other app of the job has them: do without, or take one that has.'
                        : "Set it in the app of {$other->called()}."),
            );
        }

        return $clashes;
    }

    /**
     * @param  list<string>  $lights
     * @return list<string> names of what asks for a function
     */
    private static function asked(Plan $plan, Roster $roster, string $function, array $lights): array
    {
        $mine = array_filter(
            $plan->scenes,
            static fn(Scene $s): bool => array_intersect(array_map(strval(...), array_keys($s->levels)), $lights) !==
                [],
        );
        $kind = static fn(array $kinds): array => array_map(
            static fn(string $l): string => $plan->lights[$l]->name ?? $roster->unit($l)->called(),
            array_filter($lights, static fn(string $l): bool => in_array($roster->unit($l)->kind, $kinds, true)),
        );

        return array_values(
            match ($function) {
                'colour' => $kind(['rgb', 'rgbw', 'rgbcct']),
                'white' => $kind(['tunable', 'rgbcct']),
                'fade' => self::named(array_filter($mine, static fn(Scene $s): bool => $s->fade > 0)),
                'scene' => self::named($mine),
                'show' => self::named($plan->shows),
                'schedule' => self::triggers($plan, static fn(Trigger $t): bool => $t->timed()),
                default => self::triggers($plan, static fn(Trigger $t): bool => $t->by === Trigger::PRESENCE),
            },
        );
    }

    /**
     * @param  array<string, Scene>|array<string, Show>  $of
     * @return list<string>
     */
    private static function named(array $of): array
    {
        return array_values(array_map(static fn(Scene|Show $s): string => "“{$s->name}”", $of));
    }

    /**
     * @param  callable(Trigger): bool  $which
     * @return list<string>
     */
    private static function triggers(Plan $plan, callable $which): array
    {
        return array_values(
            array_map(static fn(Trigger $t): string => $t->words(), array_filter($plan->triggers, $which)),
        );
    }

    private static function instead(Roster $roster, Unit $unit, string $function): ?Unit
    {
        foreach ($roster->units as $other) {
            $app = in_array($other->role, [Unit::HUB, Unit::BRIDGE], true) && $other->id !== $unit->id;
            if ($app && !in_array($function, $other->leaflet->lacks, true)) {
                return $other;
            }
        }

        return null;
    }

    /** @return list<LimitClash> */
    private function phones(): array
    {
        $most = $this->unit->leaflet->figure('phones');
        $wanted = 0;
        foreach ($this->plan->items as $item) {
            if (($this->plan->kit[$item->kit] ?? null)?->beside()?->role === Unit::PHONE) {
                $wanted += $item->count;
            }
        }
        if ($most === null || $wanted <= $most) {
            return [];
        }

        return [
            new LimitClash(
                LimitClash::PHONES,
                $this->unit->item,
                sprintf('%s supports %g phones, %d are planned', $this->unit->called(), $most, $wanted),
                'Join it with the phone that stays on site; the others use another way of control.',
            ),
        ];
    }

    /**
     * @param  list<string>  $lights
     * @return list<LimitClash>
     */
    private function shows(array $lights): array
    {
        $of = $this->unit->leaflet;
        $mine = array_filter(
            $this->plan->shows,
            fn(Show $s): bool => array_intersect((new Running($this->plan, $s))->lights(), $lights) !== [],
        );
        $own = array_filter($mine, static fn(Show $s): bool => $s->kind !== Show::LIST);
        $says = [];
        $effects = $of->figure('effects');
        if ($effects !== null && count($own) > $effects) {
            $says["stores {$effects} effects, " . count($own) . ' are wanted'] =
                'Keep ' .
                implode(
                    ', ',
                    array_map(static fn(Show $s): string => "“{$s->name}”", array_slice($own, 0, (int) $effects)),
                ) .
                ', and remove the others.';
        }
        foreach ($mine as $show) {
            $colours = (new Running($this->plan, $show))->colours();
            $most = $of->figure('patternColours');
            if ($most !== null && $colours > $most) {
                $says["takes {$most} colours in a pattern, “{$show->name}” has {$colours}"] =
                    'Leave some out, or part it into two shows.';
            }
            $says += self::times($show, $this->unit);
        }

        return array_map(
            fn(string $title, string $detail): LimitClash => new LimitClash(
                LimitClash::LACKS,
                $this->unit->item,
                "{$this->unit->called()} {$title}",
                $detail,
            ),
            array_keys($says),
            array_values($says),
        );
    }

    /** @return array<string, string> */
    private static function times(Show $show, Unit $unit): array
    {
        [$step, $least, $most] = [
            $unit->leaflet->figure('showStep'),
            $unit->leaflet->figure('randomLeast'),
            $unit->leaflet->figure('randomMost'),
        ];
        if ($show->kind === Show::LIST) {
            $short = array_filter($show->steps, static fn($s): bool => $s->hold + $s->fade < $step);

            if ($step === null || $short === []) {
                return [];
            }

            return [
                "has steps of {$step} s and more, “{$show->name}” has shorter ones" => "Let each scene last {$step} s.",
            ];
        }
        $near = max($least ?? 0.0, min($most ?? INF, $show->every));

        if ($show->kind === Show::RANDOM && abs($near - $show->every) > 1e-9) {
            return ["does not change every {$show->every} s, as “{$show->name}” asks" => "The nearest is {$near} s."];
        }

        return [];
    }
}
