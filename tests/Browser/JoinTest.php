<?php

declare(strict_types=1);

namespace Tests\Browser;

/** A rehearsal with a hidden fault, played by an apprentice who sees only the drawing: met, found, fixed. */
final class JoinTest extends BrowserTestCase
{
    private const STEP = "return document.querySelector('section[data-step]')?.dataset.step ?? ''";

    /** Whether the pattern that should be seen is what a drawn lamp or load shows since the hands were through. */
    private const SHOWN = "const done = arguments[arguments.length - 1]; const [run, from] = arguments;
        fetch('/jobs/1/join/' + run, { headers: { Accept: 'application/json' } }).then((r) => r.json()).then(({ picture: p }) => {
            const same = (d) => d.signal && d.signal.from >= from && p.step.expect &&
                JSON.stringify(d.signal.times) === JSON.stringify(p.step.expect.times);
            const light = p.devices.find((d) => d.id === 'c1');
            done([p.devices.some(same), p.says.startsWith('It does'), p.now, light.level, light.looks]);
        });";

    public function test_a_hidden_fault_is_met_found_and_put_right(): void
    {
        $this->browser()->size(390, 844);
        $this->signIn();
        $this->withoutFixtures(1);
        $this->open('/jobs/1/join');
        $this->see('Have ready before you start');
        $this->assertAccessible('join before a run, on a phone');
        self::assertSame(
            390,
            $this->js('return document.documentElement.scrollWidth'),
            'nothing is wider than the phone',
        );
        $this->rehearse('lead-loose@c1');
        $this->see('On the simulated devices: 1 of 1 controls work.');
        $this->see('Found and fixed');
        $this->dontSee('Still hidden');
        $this->click(fn() => $this->button('New run'));
        $this->browser()->size(1280, 800);
    }

    private function rehearse(string $flaw): void
    {
        $this->click(fn() => $this->button('Rehearse with one hidden fault'));
        $this->find('section[data-step]');
        // One that is known takes the place of the one that was drawn.
        [$run] = $this->server()->query('select max(id) from join_runs');
        $this->server()->query("update join_runs set flaws = '{$flaw}' where id = {$run} returning id");
        for ($n = 0; $n < 150; $n++) {
            $this->quiet();
            $step = (string) $this->js(self::STEP);
            if ($step === '/end') {
                return;
            }
            $this->answer((int) $run, $step, $flaw);
            $this->eventually(
                fn(): bool => $this->js(self::STEP) !== $step || $this->events((int) $run) > $this->before,
                "nothing comes of {$step}",
            );
        }
        self::fail('The run comes to no end.');
    }

    private int $before = 0;

    private function events(int $run): int
    {
        return (int) $this->server()->query("select count(*) from join_events where join_run_id = {$run}")[0];
    }

    /** One step, done and answered as it looks. */
    private function answer(int $run, string $step, string $flaw): void
    {
        $text = (string) $this->js(
            "return [...document.querySelectorAll('section[data-step] button')].map((b) => b.textContent.trim()).join(' | ')",
        );
        $this->before = $this->events($run);
        if (str_contains($text, 'Yes, fixed')) {
            [$code, $device] = explode('@', $flaw);
            $title = (string) $this->js("return document.querySelector('section[data-step] h2').textContent");
            $so =
                str_ends_with($step, "/{$code}") && (str_contains($title, strtoupper($device)) || $device === 'phone');
            $this->click(fn() => $this->button($so ? 'Yes, fixed' : 'No, that is fine'));

            return;
        }
        if (str_contains($text, 'Save name')) {
            $this->click(fn() => $this->button('Save name'));

            return;
        }
        if (str_contains($text, 'Not listed')) {
            $this->click(fn() => $this->button('Skip the wait'));
            usleep(300_000);
            $this->before = -1;

            return;
        }
        [, , $from] = $this->shown($run, 0.0);
        $does = $this->js(
            "return [...document.querySelectorAll('section[data-step] button')].some((b) => b.textContent.trim().startsWith('Do it'))",
        );
        if ($does === true) {
            $this->click(fn() => $this->button('Do it'));
            $this->eventually(fn(): bool => $this->events($run) > $this->before, "nothing is done of {$step}");
        }
        if (!str_contains($text, 'Nothing seen')) {
            return;
        }
        $seen = match (true) {
            str_ends_with($step, '/accept'), str_ends_with($step, '/closed') => $this->tried($run),
            str_ends_with($step, '/returns') => $this->shown($run, 0.0)[3] > 0.0 ? 'It is lit again' : 'Nothing seen',
            $this->looks($run, $step, (float) $from) => $this->yes($text),
            default => 'Nothing seen',
        };
        $this->before = $this->events($run);
        $this->click(fn() => $this->button($seen));
    }

    /** Off, then on, by the control; what the light does. */
    private function tried(int $run): string
    {
        foreach ([2 => 0.0, 1 => 1.0] as $button => $level) {
            $before = $this->events($run);
            $this->click(fn() => $this->find("[aria-label='Use the control'] button:nth-child({$button})"));
            $this->eventually(fn(): bool => $this->events($run) > $before, 'the control does nothing');
            [, , , $is, $looks] = $this->shown($run, 0.0);
            if (abs($is - $level) > 0.01) {
                return 'Nothing seen';
            }
        }

        return [
            'wrong' => 'Wrong colours',
            'part' => 'A part stays dark',
            'dim' => 'Dull',
            'nothing' => 'Nothing seen',
        ][$looks] ?? 'All of it works';
    }

    private function yes(string $text): string
    {
        foreach (['Only the first', 'Saw that', 'Yes, that strip', 'All of it works'] as $yes) {
            if (str_contains($text, $yes)) {
                return $yes;
            }
        }

        return 'Yes';
    }

    /** The drawing while waits are skipped. */
    private function looks(int $run, string $step, float $from): bool
    {
        for ($n = 0; $n < 6; $n++) {
            [$lamp, $says] = $this->shown($run, str_ends_with($step, '/joined') ? $from - 12.0 : $from);
            if ($lamp || $says || str_ends_with($step, '/identify')) {
                return true;
            }
            $this->click(fn() => $this->button('Skip the wait'));
            usleep(250_000);
        }

        return false;
    }

    /** @return array{bool, bool, float, float, string} whether the pattern shows, whether the app says it, the run's clock, the light */
    private function shown(int $run, float $from): array
    {
        $shown = $this->browser()->driver->executeAsyncScript(self::SHOWN, [$run, $from]);
        assert(is_array($shown));

        return [$shown[0] === true, $shown[1] === true, (float) $shown[2], (float) $shown[3], (string) $shown[4]];
    }
}
