<?php

declare(strict_types=1);

namespace EmberDusk\Bench\Tests;

use EmberDusk\Kit\Facts;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;
use EmberDusk\Rates\BenchSettings;

/** The tests of a job in their order, from plan and kit: settings before mounting, the loose test, the test after the joints. */
final readonly class Tests
{
    private function __construct(private Plan $plan) {}

    /** @return list<BenchTest> */
    public static function for(Plan $plan): array
    {
        return (new self($plan))->all();
    }

    /** @return list<BenchTest> */
    private function all(): array
    {
        $tests = $set = [];
        foreach ($this->plan->runs as $run) {
            if ($this->plan->of($run)->cutMarks() === null || $this->plan->ways()->feedsOf($run) === []) {
                continue;
            }
            $id = (string) $run->controller;
            if ($this->plan->controller($id)?->setByHand() === true && !isset($set[$id])) {
                $set[$id] = true;
                $tests[] = $this->switch($run);
            }
            array_push($tests, ...$this->pixelSettings($run), ...$this->run($run));
        }
        foreach ($this->plan->fixtures as $fitting) {
            array_push($tests, ...LampTests::for($this->plan, $fitting));
        }

        return $tests;
    }

    /** @return list<BenchTest> of one run, and of its controller */
    public static function ofRun(Plan $plan, Run $run): array
    {
        return (new self($plan))->tests($run);
    }

    /** @return list<BenchTest> of one run, and of its controller */
    private function tests(Run $run): array
    {
        return array_values(
            array_filter(
                $this->all(),
                static fn(BenchTest $t): bool => $t->of === $run->id || $t->of === $run->controller,
            ),
        );
    }

    private function switch(Run $run): BenchTest
    {
        $controller = $this->plan->controller($run->controller);
        $kind = $this->plan->strip($run->strip)?->colours() ?? '';
        $says = strtoupper((string) $run->controller);

        return new BenchTest(
            id: "settings-{$run->controller}/switch",
            step: "settings-{$run->controller}",
            of: (string) $run->controller,
            title: "{$says}: " . ($controller->setBy ?? 'switch'),
            asks: 'tick',
            by: Commander::Nothing->words(),
            do: 'Set it to ' . Facts::way($kind) . '. ' . ucfirst($controller->setting ?? ''),
            see: 'Its mark matches the strip type; set it at Kit too.',
            otherwise: 'Channels stay dark or follow the wrong colour.',
            caution: 'Before power is switched on.',
        );
    }

    /** @return list<BenchTest> */
    private function pixelSettings(Run $run): array
    {
        $tests = [];
        foreach (BenchSettings::ofRun($this->plan, $run) as $key) {
            $test = (new TestCards($this->plan, $run))->setting($key);
            $tests[] = new BenchTest(
                id: "settings-{$run->id}/{$key}",
                step: "settings-{$run->id}",
                of: $run->id,
                title: "{$run->name()}: {$test['title']}",
                asks: $test['asks'],
                by: Commander::for($this->plan, $run)->words(),
                do: $test['do'],
                see: $test['see'],
                otherwise: $test['otherwise'],
                caution: $test['caution'],
            );
        }

        return $tests;
    }

    /** @return list<BenchTest> */
    private function run(Run $run): array
    {
        $tests = [];
        $by = Commander::for($this->plan, $run);
        foreach (['loose', 'second'] as $step) {
            foreach ((new TestCards($this->plan, $run))->keys($step) as $key) {
                $test = (new TestCards($this->plan, $run))->for($key);
                $commander = match (true) {
                    $test['by'] === '' => $by->words(),
                    default => $test['by'],
                };
                $tests[] = new BenchTest(
                    id: "{$step}-{$run->id}/{$key}",
                    step: "{$step}-{$run->id}",
                    of: $run->id,
                    title: "{$run->name()}: {$test['title']}",
                    asks: $test['asks'],
                    by: $commander,
                    do: $test['do'],
                    see: $test['see'],
                    otherwise: $test['otherwise'],
                    caution: $test['caution'],
                );
            }
        }

        return $tests;
    }
}
