<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

use EmberDusk\Checks\Protection\RailCapacity;
use EmberDusk\Circuit\Engine;
use EmberDusk\Circuit\Island;
use EmberDusk\Circuit\RunResult;
use EmberDusk\Circuit\Sag;
use EmberDusk\Formats\Fields;
use EmberDusk\Kit\Cable;
use EmberDusk\Kit\Controller;
use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Kit\Supply;
use EmberDusk\Plan\Changes\Catalogue;
use EmberDusk\Plan\Changes\Wires\SupplyWires;
use EmberDusk\Plan\Changes\Wires\WireRuns;
use EmberDusk\Plan\CutMarks;
use EmberDusk\Plan\Plan;
use EmberDusk\Values\Refusal;

/**
 * Bounds of a feed pattern at the highest, a middle and the lowest volts of its hub in any valid layout, under the best controller: lower volts can
 * improve evenness, so only a failure at all of them excludes it. The least amps and the least drop of the three hold in every layout too.
 */
final readonly class FeedBound
{
    /** Share of the strip's volts that another controller than the best may lose inside. */
    private const INSIDE = 0.001;

    /** The estimate is rarely lower than the truth by more, and a strip rarely draws less of its nominal load. */
    private const ROUGH = 0.03;

    private const DRAWS = 0.85;

    /** Metres of trunk: as good as none. */
    private const TRUNK = 0.01;

    /** A miss by less than this share of its limit at any of the three is not hopeless. */
    public const MARGIN = 0.004;

    /**
     * @param  float  $amps  at least
     * @param  float  $drop  volts lost from the hub to the farthest feed, at least
     */
    public function __construct(public bool $hopeless, public float $amps, public float $drop) {}

    public static function for(Tables $tables, FeedOption $option, ?KitSnapshot $controller): self
    {
        $hopeless = true;
        $amps = $drop = INF;
        foreach (self::shares($tables, $tables->strip($tables->plan->run($option->run))->volts) as $share) {
            $now = self::at($tables, $option, $controller, $share);
            if ($now === null) {
                return new self(false, 0.0, 0.0);
            }
            $hopeless = $hopeless && $now->excess > self::MARGIN;
            [$amps, $drop] = [min($amps, $now->amps), min($drop, $now->drop)];
        }

        return new self($hopeless, $amps, $drop);
    }

    /** @return list<float> of the strip's volts: the highest, a middle and the lowest that its hub can have */
    public static function shares(Tables $tables, float $volts): array
    {
        $drop = $tables->plan->limits->drop;

        return [...array_unique([$tables->sources->most($volts), 1.0]), 1.0 - $drop / 2, self::lowest($tables, $volts)];
    }

    /** Share of the strip's volts that its hub has at least. */
    public static function lowest(Tables $tables, float $volts): float
    {
        return self::highest($tables, $volts) - $tables->plan->limits->drop;
    }

    /** Share of the strip's volts that its hub has at least while the cables to it lose nothing. */
    public static function highest(Tables $tables, float $volts): float
    {
        return self::source($tables, $volts) - self::INSIDE;
    }

    /** Share of the strip's volts that its supply has at least. */
    public static function source(Tables $tables, float $volts): float
    {
        return 1.0 - $tables->sources->sag($volts);
    }

    /**
     * A way of feeding behind a hub of such a share of the strip's volts; null where it cannot be solved.
     *
     * @param  float  $trunk  ohms of a trunk behind it
     */
    public static function at(
        Tables $tables,
        FeedOption $option,
        ?KitSnapshot $controller,
        float $share,
        float $trunk = 0.0,
    ): ?JudgedFeeds {
        $run = $tables->plan->run($option->run);
        try {
            $supply = self::ideal($tables->strip($run)->volts * $share);

            return self::judged(
                Catalogue::make(
                    WireRuns::payload([self::wires($tables, $option, $supply, $controller, $trunk)]),
                    new ShelfWithIdeal($tables->shelf, $supply),
                )->apply(PlanExcerpt::for($tables->plan, [$run->id])),
            );
        } catch (Refusal) {
            return null;
        }
    }

    /** The same at a glance, from the closed form of a ladder: for orders, not for proofs. */
    public static function roughly(Tables $tables, FeedOption $option): self
    {
        $run = $tables->plan->run($option->run);
        $strip = $tables->strip($run);
        $marks = CutMarks::from($run, $strip);
        $even = Sag::evenness($strip, $marks, $option->pads, $option->halves());

        $amps = ((self::DRAWS * $strip->wattsPerMetre()) / $strip->volts) * ($strip->pixels === null ? 1.0 : $run->cap);
        $drop = 0.0;
        foreach (Sag::shares($marks, $option->pads, $option->halves()) as $n => $metres) {
            $tail = ($option->tails[$n] ?? $option->tails[0])->entry;
            if ($option->leg === null && $tail instanceof Cable) {
                $ohms = $tail->conductor->ohms($option->lengths[$n], $tables->plan->limits->cableCelsius);
            } else {
                $ohms = 0.0;
            }
            $drop = max($drop, $amps * $metres * $ohms * (1 + 1 / count($strip->channels)));
        }

        return new self($even < $tables->plan->limits->evenness - self::ROUGH, $amps * $marks->length(), $drop);
    }

    private static function judged(Plan $made): JudgedFeeds
    {
        $worst = 0.0;
        $amps = $drop = 0.0;
        foreach (Island::all($made) as $island) {
            $results = (new Engine($made))->planned($island);
            foreach (PlanJudge::light($made, $results) as $broken) {
                $worst = max($worst, $broken->excess);
            }
            foreach ($results as $id => $result) {
                if ($result instanceof RunResult) {
                    $rail = RailCapacity::limit($made->strip($made->run((string) $id)->strip));
                    $worst = max($worst, $result->fullestRail() / $rail - 1);
                    $amps = max($amps, $result->supplyAmps);
                    $drop = max($drop, $result->farthestFeed()->lost());
                }
            }
        }

        return new JudgedFeeds($worst, $amps, $drop);
    }

    private static function wires(
        Tables $tables,
        FeedOption $option,
        KitSnapshot $supply,
        ?KitSnapshot $controller,
        float $ohms,
    ): SupplyWires {
        $trunks = array_values(array_filter($tables->trunks([$tables->plan->run($option->run)])));
        usort($trunks, static fn(KitSnapshot $a, KitSnapshot $b): int => self::ohms($a) <=> self::ohms($b));

        $thick = $controller === null ? null : $trunks[0] ?? null;
        $metres = $ohms === 0.0 || $thick === null ? self::TRUNK : $ohms / $tables->ohms($thick, 1.0);

        return (new Layout(PowerSource::mains($supply, $tables->costs), '', [
            new RunBlock($controller, '', $thick, [$option]),
        ]))->wires($tables, false, max(self::TRUNK, $metres));
    }

    private static function ideal(float $volts): KitSnapshot
    {
        $written = [
            'kind' => 'supply',
            'id' => 'hub',
            'name' => 'Hub',
            'volts' => $volts,
            'ratedAmps' => 190.0,
            'sourceOhms' => 0.001,
        ];

        return new KitSnapshot('', $written, Supply::read(new Fields($written)));
    }

    public static function ohms(KitSnapshot $cable): float
    {
        if ($cable->entry instanceof Cable) {
            return $cable->entry->conductor->ohmsPerMetre;
        }

        return INF;
    }

    /**
     * Of some controllers the one that loses least.
     *
     * @param  list<KitSnapshot>  $controllers
     */
    public static function least(array $controllers): ?KitSnapshot
    {
        usort($controllers, static fn(KitSnapshot $a, KitSnapshot $b): int => self::inside($a) <=> self::inside($b));

        return $controllers[0] ?? null;
    }

    private static function inside(KitSnapshot $controller): float
    {
        if ($controller->entry instanceof Controller) {
            return $controller->entry->commonOhms + $controller->entry->channelOhms;
        }

        return INF;
    }
}
