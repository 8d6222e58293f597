<?php

declare(strict_types=1);

namespace EmberDusk\Tests;

use EmberDusk\Plan\Place;
use EmberDusk\Plan\Plan;
use EmberDusk\Values\Refusal;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * Jobs by seed, with something of everything: all kinds of strip and pixels, batteries and converters, fixtures and
 * modules, scenes, zones, halves, shared kit, legs that are there already. They are no good jobs, and need not be.
 */
final class SeededJobs
{
    private Plan $plan;

    private function __construct(private readonly Randomizer $chance, int $seed)
    {
        $this->plan = new Plan("Seeded job {$seed}", 'Nobody');
    }

    /** @return iterable<int, Plan> by seed */
    public static function all(int $count = 60): iterable
    {
        for ($seed = 1; $seed <= $count; $seed++) {
            yield $seed => self::of($seed);
        }
    }

    public static function of(int $seed): Plan
    {
        $job = new self(new Randomizer(new Xoshiro256StarStar(hash('sha256', "job {$seed}", true))), $seed);
        for ($n = $job->below(3); $n >= 0; $n--) {
            $job->room($n);
        }
        foreach (array_keys($job->plan->runs) as $run) {
            $job->kit((string) $run);
            $job->feeds((string) $run);
        }
        $job->fixtures();
        $job->scenes();
        $job->terms();
        $job->beside();
        $job->segments();

        return $job->plan;
    }

    private function room(int $n): void
    {
        $metres = fn(int $least, int $most): string => sprintf('%.2f', $this->chance->getInt($least, $most) / 100);
        $first = $metres(150, 1400);
        $lines = [
            $this->one(['dry', 'damp']),
            'high 2.60',
            'start door',
            "{$first} long{$n}" .
            ($this->below(3) === 0 ? ', gap 0.30 at ' . sprintf('%.2f', 0.4 * (float) $first) . ' beam' : ''),
        ];
        if ($this->below(2) === 0) {
            $lines[] = "box B{$n} shelf at 0.40, 30x20x10, vented, hand";
        }
        $lines[] = 'right ' . $metres(120, 900) . ' ' . $this->one(["short{$n}", "long{$n}", '']);
        $lines[] =
            $this->below(3) === 0
                ? "battery E{$n} bench, " .
                    $this->one(['1 of 12 V, 2 rows, 110 Ah', '2 of 6 V, 1 row, 210 Ah', '6 of 8 V, 1 row, 170 Ah']) .
                    ', want 12 V'
                : "outlet P{$n} wall at 0.60, circuit C{$n}";
        if ($this->below(2) === 0) {
            $lines[] = "leg L{$n} P{$n} to far 3x2.5 " . $metres(300, 1200) . ', wall, known';
        }
        $lines[] =
            "run long{$n}, " .
            $this->one(['profile', 'bare', 'moving', 'removable', 'outdoors']) .
            ', ' .
            $this->one(['room light', 'mood light']);
        $this->plan = $this->plan->with(
            places: $this->plan->places + ["room{$n}" => new Place("room{$n}", "Room {$n}", '')],
        );
        $this->try([
            'kind' => 'ReviseNotes',
            'place' => "room{$n}",
            'text' => implode("\n", array_map(trim(...), $lines)),
        ]);
    }

    private function kit(string $run): void
    {
        if (!$this->try(['kind' => 'ChooseKit', 'run' => $run, 'kit' => $this->one(SeededKit::STRIPS)])) {
            return;
        }
        $strip = $this->plan->strip($this->plan->run($run)->strip);
        $volts = (int) ($strip->volts ?? 24);
        // One in eight gets the wrong volts.
        $this->try([
            'kind' => 'ChooseKit',
            'run' => $run,
            'kit' => $this->one(SeededKit::SUPPLIES[$this->below(8) === 0 ? 12 : $volts]),
        ]);
        if ($strip !== null && !$strip->pixels) {
            for ($n = 0; $n < 6 && $this->plan->run($run)->controller === null; $n++) {
                $this->try(['kind' => 'ChooseKit', 'run' => $run, 'kit' => $this->one(SeededKit::CONTROLLERS)]);
            }
        }
        $this->try([
            'kind' => 'ChooseKit',
            'run' => $run,
            'kit' => $this->one(SeededKit::CABLES[$this->plan->of($this->plan->run($run))->cores()] ?? ['cable-2x15']),
        ]);
        $this->try([
            'kind' => 'ChooseKit',
            'run' => '',
            'kit' => $this->one(['hub-zigbee', 'hub-zigbee-short', 'hub-rf']),
        ]);
        foreach (array_keys($this->plan->supplies) as $supply) {
            if (($this->plan->kit[$this->plan->supplies[$supply]->kit]->written['kind'] ?? '') === 'battery') {
                $this->try([
                    'kind' => 'SetBlocks',
                    'supply' => $supply,
                    'series' => $this->one([1, 1, 2]),
                    'parallel' => $this->one([1, 2]),
                ]);
            }
        }
    }

    private function feeds(string $run): void
    {
        match ($this->below(6)) {
            0 => $this->try(['kind' => 'FeedPattern', 'run' => $run, 'pattern' => 'ends']),
            1 => $this->try(['kind' => 'FeedPattern', 'run' => $run, 'pattern' => 'middle']),
            2 => $this->try(['kind' => 'SetFeeds', 'run' => $run, 'shares' => [0, 0.33, 1]]),
            3 => $this->try(['kind' => 'SplitRun', 'run' => $run, 'parts' => 2]),
            4 => $this->try(['kind' => 'SetCap', 'run' => $run, 'cap' => 0.6, 'checked' => $this->below(2) === 0]),
            default => true,
        };
        $others = array_keys($this->plan->controllers);
        if ($others !== [] && $this->below(3) === 0) {
            $this->try(['kind' => 'ShareKit', 'run' => $run, 'with' => $this->one($others)]);
        }
        foreach (array_keys($this->plan->cables) as $cable) {
            match ($this->below(5)) {
                0 => $this->try([
                    'kind' => 'SetCable',
                    'cable' => $cable,
                    'length' => $this->chance->getInt(20, 900) / 100,
                ]),
                1 => $this->try([
                    'kind' => 'SetCable',
                    'cable' => $cable,
                    'fuse' => $this->one(['fuse-3', 'fuse-5', 'fuse-10', 'fuse-20']),
                    'joint' => $this->one(['connector-screw', 'connector-lever', 'connector-solder']),
                ]),
                default => true,
            };
        }
    }

    private function fixtures(): void
    {
        $supply = array_key_first($this->plan->supplies);
        foreach (
            ['fixture-downlight-12', 'fixture-reading-24', 'fixture-panel-010', 'fixture-porch-phase', 'fixture-dali']
            as $kit
        ) {
            if (
                $this->below(3) > 0 ||
                !$this->try([
                    'kind' => 'SetFixture',
                    'fixture' => null,
                    'kit' => $kit,
                    'place' => (string) array_key_first($this->plan->places),
                    'count' => $this->chance->getInt(1, 8),
                ])
            ) {
                continue;
            }
            $fixture = (string) array_key_last($this->plan->fixtures);
            $this->try([
                'kind' => 'ChooseModule',
                'fixture' => $fixture,
                'kit' => $this->one(['phasecut-150', 'phasecut-200', 'analog-zigbee', 'dali-zigbee']),
            ]);
            $this->try([
                'kind' => 'HangFixture',
                'fixture' => $fixture,
                'on' => (string) $supply,
                'kit' => $this->one(SeededKit::CABLES[2]),
                'length' => $this->chance->getInt(100, 900) / 100,
            ]);
        }
    }

    private function scenes(): void
    {
        for ($n = $this->below(3); $n > 0; $n--) {
            $levels = [];
            foreach (array_keys($this->plan->controllers) as $id) {
                $levels[] = [
                    'of' => (string) $id,
                    'duties' => array_map(
                        fn(): float => $this->one([0.0, 0.1, 0.3, 0.75, 1.0]),
                        range(1, $this->plan->controller($id)->channels ?? 1),
                    ),
                ];
            }
            $this->try(['kind' => 'SetScene', 'scene' => null, 'name' => "Scene {$n}", 'levels' => $levels]);
        }
    }

    private function terms(): void
    {
        $this->try([
            'kind' => 'SetLimits',
            'drop' => $this->one([0.03, 0.05, 0.08]),
            'headroom' => 0.2,
            'evenness' => $this->one([0.8, 0.9, 0.95]),
            'seam' => 0.05,
            'cableCelsius' => $this->one([30, 40, 60]),
        ]);
        $this->try(['kind' => 'SetSpare', 'kit' => 'connector-solder', 'count' => $this->below(9)]);
        foreach (array_keys($this->plan->runs) as $run) {
            if ($this->below(3) === 0) {
                $this->try([
                    'kind' => 'SetMaking',
                    'run' => (string) $run,
                    'strip' => $this->one(['never', 'needed', 'saving']),
                    'length' => 'needed',
                    'profile' => 'profile-flat',
                    'diffuser' => 'diffuser-opal',
                    'seal' => $this->one(['', 'glue', 'silicone']),
                    'cut' => '',
                ]);
            }
        }
    }

    /** Converters on banks, switches in leads, and other items: last, so that earlier draws stay the same. */
    /** Pixel runs in halves, the far one reversed, and a control line; last, so that what was drawn before stays. */
    private function segments(): void
    {
        foreach ($this->plan->runs as $id => $run) {
            $pixels = $this->plan->of($run)->pixels();
            if ($pixels > 3 && $this->below(2) === 0) {
                $half = intdiv($pixels, 2);
                $this->try([
                    'kind' => 'SetSegments',
                    'run' => (string) $id,
                    'segments' => [
                        ['name' => "{$run->name()} near", 'first' => 1, 'last' => $half],
                        ['name' => "{$run->name()} far", 'first' => $half + 1, 'last' => $pixels, 'reversed' => true],
                    ],
                ]);
                $far = array_key_last($this->plan->segments);
                if ($far !== null) {
                    $this->try([
                        'kind' => 'SetScene',
                        'scene' => null,
                        'name' => "Far of {$id}",
                        'levels' => [['of' => $far, 'duties' => [0.6]]],
                    ]);
                }
            }
        }
        foreach ($this->plan->fixtures as $id => $fitting) {
            if ($fitting->module !== null && $this->below(2) === 0) {
                $this->try([
                    'kind' => 'HangFixture',
                    'fixture' => (string) $id,
                    'on' => $fitting->module,
                    'kit' => 'cable-2x15',
                    'length' => 12.5,
                ]);
            }
        }
    }

    private function beside(): void
    {
        foreach (array_keys($this->plan->runs) as $run) {
            $supply = (string) $this->plan->run((string) $run)->supply;
            if ($this->plan->block($supply) !== null && $this->below(2) === 0) {
                $this->try(['kind' => 'ChooseKit', 'run' => (string) $run, 'kit' => 'converter-12-12']);
            }
        }
        foreach (array_keys($this->plan->cables) as $cable) {
            if ($this->below(8) === 0) {
                $this->try([
                    'kind' => 'SetCable',
                    'cable' => (string) $cable,
                    'switch' => $this->one(['switch-inline-4', 'switch-inline-10']),
                ]);
            }
            if ($this->below(8) === 0) {
                $this->item($this->one(['plug-2-open', 'plug-3-splash', 'fork-2']), (string) $cable);
            }
        }
        foreach (['remote-zigbee-4', 'panel-rf', 'assistant-reads', 'server-own'] as $kit) {
            if ($this->below(4) === 0) {
                $this->item($kit, '');
            }
        }
        foreach (array_keys($this->plan->supplies) as $supply) {
            if ($this->below(6) === 0) {
                $this->item('tile-24', (string) $supply);
            }
        }
    }

    private function item(string $kit, string $on): void
    {
        $this->try([
            'kind' => 'SetItem',
            'kit' => $kit,
            'place' => (string) array_key_first($this->plan->places),
            'count' => $this->below(3) + 1,
            'on' => $on,
        ]);
    }

    /** @param  array<string, mixed>  $change */
    private function try(array $change): bool
    {
        try {
            $this->plan = Demo::with($this->plan, $change);

            return true;
        } catch (Refusal) {
            return false;
        }
    }

    /**
     * @template T
     *
     * @param  non-empty-list<T>  $of
     * @return T
     */
    private function one(array $of): mixed
    {
        return $of[$this->below(count($of))];
    }

    private function below(int $n): int
    {
        return $this->chance->getInt(0, $n - 1);
    }
}
