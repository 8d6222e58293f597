<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Joining;

use EmberDusk\Joining\Act;
use EmberDusk\Joining\Event;
use EmberDusk\Joining\Families;
use EmberDusk\Joining\Observation;
use EmberDusk\Joining\Recovery;
use EmberDusk\Joining\Roster;
use EmberDusk\Joining\Simulation\Acceptance;
use EmberDusk\Joining\Simulation\SimulatedSite;
use PHPUnit\Framework\Assert;

/** Someone with the printed steps and no screen: reads each sentence, does what it says to the simulated devices, and waits as it says. */
final class PrintedHands
{
    /** Seconds from one step to the next, between two keys, and between two presses of one key. */
    private const READS = 3.0;

    private const BETWEEN = 0.5;

    private const BEAT = 0.35;

    /** Default seconds until a lamp lights under a held key. */
    private const UNTIL_LIT = 2.0;

    private float $now = 0.0;

    private string $last = '';

    public readonly SimulatedSite $site;

    public function __construct(Recovery $recovery, int $seed)
    {
        $this->site = Families::site($recovery->roster, $seed, $recovery->flaws, []);
    }

    /** @return array<string, Observation> what each control does at the end, by control and light */
    public function tried(): array
    {
        $this->site->advance($this->now);

        return Acceptance::all($this->site);
    }

    public function follow(string $step): void
    {
        $this->now += self::READS;
        $began = $this->now;
        if ($step === 'Repeat the last step once.') {
            $step = $this->last;
        }
        $this->last = $step;
        $done = false;
        foreach (preg_split('/(?<=[.?]) (?=[A-Z])/', $step) ?: [] as $sentence) {
            $done = $this->sentence($sentence, $began) || $done;
        }
        Assert::assertTrue($done, "not understood: {$step}");
    }

    /** Whether a sentence was understood. */
    private function sentence(string $text, float $began): bool
    {
        $app = '(?: \(([A-Z0-9]+)\))?';

        return match (true) {
            $this->reads('/^Hold (\w+) within ([\d.]+) (m|cm) \([^)]+\) of (\w+)\.$/', $text, function (
                array $m,
            ): void {
                $metres = (float) $m[2] / ($m[3] === 'cm' ? 100.0 : 1.0);
                $this->do(Act::NEAR, $m[1], strtolower($m[4]) . " {$metres}");
            }),
            $this->reads('/^Switch (\w+) off and on, then at once (.+) on (\w+)\.$/', $text, function (array $m): void {
                $this->do(Act::OFF, $m[1]);
                $this->do(Act::ON, $m[1]);
                $this->keys($m[2], $m[3]);
            }),
            $this->reads('/^(.+ on \w+), then at once (.+)\.$/', $text, function (array $m) use ($began): void {
                $this->sentence("{$m[1]}.", $began);
                // From the keys of one device to the next.
                $this->now += 1.0;
                $this->sentence(ucfirst($m[2]) . '.', $began);
            }),
            $this->reads('/^Switch (\w+) off and on, and wait ([\d.]+) s\.$/', $text, function (array $m): void {
                $this->do(Act::OFF, $m[1]);
                $this->do(Act::ON, $m[1]);
                $this->now += (float) $m[2];
            }),
            $this->reads('/^Bring (\w+) to (\w+), with a temporary supply/', $text, function (array $m): void {
                $this->do(Act::OFF, $m[1]);
                $this->do(Act::NEAR, $m[1], strtolower($m[2]) . ' 0.03');
                $this->do(Act::NEAR, $m[2], strtolower($m[1]) . ' 0.03');
                $this->do(Act::ON, $m[1]);
            }),
            $this->reads('/^Take (\w+) off its plate, and bring it to (\w+)\.$/', $text, function (array $m): void {
                $this->do(Act::NEAR, $m[2], strtolower($m[1]) . ' 0.03');
                $this->do(Act::NEAR, $m[1], strtolower($m[2]) . ' 0.03');
            }),
            $this->reads('/^Fix (\w+) again\.$/', $text, static fn(): null => null),
            $this->reads('/^Put (\w+) back in its place, leads as marked\.$/', $text, function (array $m): void {
                $this->do(Act::OFF, $m[1]);
                $this->do(Act::NEAR, $m[1]);
                $this->do(Act::ON, $m[1]);
            }),
            $this->reads('/^Switch (\w+) on\.$/', $text, fn(array $m) => $this->do(Act::ON, $m[1])),
            $this->reads('/^Switch (\w+) off\.$/', $text, fn(array $m) => $this->do(Act::OFF, $m[1])),
            $this->reads(
                '/^Supply off, lift (\w+)’s lead, supply on\.$/',
                $text,
                fn(array $m) => $this->do(Act::OFF, $m[1]),
            ),
            $this->reads('/^Take the lead away and switch (\w+) off and on\.$/', $text, function (array $m): void {
                $this->do(Act::OFF, $m[1]);
                $this->do(Act::ON, $m[1]);
            }),
            $this->reads('/^((?:Press|Hold) .+) on (\w+)\.$/', $text, fn(array $m) => $this->keys($m[1], $m[2])),
            // The way through the app comes before the key at its end.
            $this->reads("/^Press Search in the hub’s app{$app}\\.$/", $text, function (array $m) use ($began): void {
                $this->now = $began + 24.0;
                $this->do(Act::TAP, $m[1], 'search');
            }),
            $this->reads("/^Press Search in the lights’ app\\.$/", $text, function () use ($began): void {
                $this->now = $began + 26.0;
                $this->do(Act::TAP, Roster::PHONE, 'search mesh', 0.0);
                $this->do(Act::TAP, Roster::PHONE, 'search bluetooth');
            }),
            $this->reads('/^Allow ([\d.]+) s to get there in the app\.$/', $text, function (array $m) use (
                $began,
            ): void {
                $this->now = max($this->now, $began + (float) $m[1]);
            }),
            $this->reads(
                "/^Switch “(.+)” in the app{$app}: (?:do|does) /",
                $text,
                fn(array $m) => $this->do(Act::TAP, $m[2], "toggle {$m[1]}"),
            ),
            $this->reads(
                "/^Switch “(.+)”{$app}: is it the second entry/",
                $text,
                fn(array $m) => $this->do(Act::TAP, $m[2], "toggle {$m[1]}"),
            ),
            $this->reads(
                "/^Name “(.+?)”{$app} “(.+?)”/",
                $text,
                fn(array $m) => $this->do(Act::TAP, $m[2] ?: $this->hub(), "name {$m[1]}={$m[3]}"),
            ),
            $this->reads(
                '/^Link the hub’s account to (\w+), or press the hub’s key\.$/',
                $text,
                fn(array $m) => $this->do(Act::TAP, $m[1], "link {$this->hub()}"),
            ),
            $this->reads('/^Let (\w+) search\.$/', $text, fn(array $m) => $this->do(Act::TAP, $m[1], 'search')),
            $this->reads(
                '/^Data lead to (\w+), and give it the network;/',
                $text,
                fn(array $m) => $this->do(Act::TAP, $m[1], 'give'),
            ),
            $this->reads('/^Open the page of (\w+)\.$/', $text, fn(array $m) => $this->do(Act::TAP, $m[1], 'open')),
            $this->reads(
                "/^Set fourth channel, order, count and limit, then save{$app}\\.$/",
                $text,
                fn(array $m) => $this->do(Act::TAP, $m[1], 'set'),
            ),
            $this->reads(
                '/^Look for (\w+) in the router’s list\.$/',
                $text,
                fn(array $m) => $this->do(Event::MENDED, $m[1], 'new-address|yes'),
            ),
            $this->inApps($text)
                => true,
            $this->reads(
                '/^Expect: (\w+) shows .+, within ([\d.]+) s\.$/',
                $text,
                fn(array $m) => $this->watch($m[1], (float) $m[2], $began),
            ),
            $this->reads('/^(?:Expect: .+, within|Allow) ([\d.]+) s\.$/', $text, function (array $m): void {
                $this->now += (float) $m[1];
            })
                => true,
            default => $this->reads(
                '/^(Expect: |It searches for|Another address: open|Then hide it|Read the network’s name|Another one, or none|' .
                    'Wait for a new entry|Test every control)/',
                $text,
                static fn(): null => null,
            ),
        };
    }

    /** Sentences about the apps of receivers, bridges, Bluetooth and cloud controllers. */
    private function inApps(string $text): bool
    {
        $taps = [
            '/^Let the phone join (\w+)’s own network, then open the app\.$/' => '1 enter',
            '/^Choose the kind of light for (\w+) in the app, and its room \((\w+)\)\.$/' => '2 kind 1',
            '/^Press the key that binds in the app while (\w+) learns \((\w+)\)\.$/' => '2 swipe 1',
            '/^Open the app that the instructions of (\w+) name, in the generation they name\.$/' => '1 app',
            '/^Start the connection in the app; .+ \((\w+)\)\.$/' => '1 connect',
            '/^Choose the kind of controller for (\w+) in the app \((\w+)\): .+\.$/' => '2 style 1',
            '/^Connect (\w+) in the app\.$/' => '1 connect',
            '/^Choose the kind of light, then order and count where the app asks \((\w+)\)\.$/' => '1 type',
            '/^Give (\w+) network and account in the app;/' => '1 give',
            '/^Choose the kind of light; does the app show it live\? \((\w+)\)\.$/' => '1 live',
        ];
        foreach ($taps as $pattern => $tap) {
            if (preg_match($pattern, $text, $m) === 1) {
                [$device, $key] = explode(' ', $tap, 2);
                $this->do(Act::TAP, $m[(int) $device] ?? '', str_replace(' 1', ' ' . strtolower($m[1]), $key));

                return true;
            }
        }

        return $this->reads(
            '/^Switch (\w+) off and on, then link zone (\d+) in the app at once \((\w+)\)\.$/',
            $text,
            function (array $m): void {
                $this->do(Act::OFF, $m[1]);
                $this->do(Act::ON, $m[1]);
                $this->do(Act::TAP, $m[3], 'zone ' . strtolower($m[1]) . " {$m[2]}");
            },
        ) ||
            $this->reads(
                '/^End the search in the app\.$/',
                $text,
                fn() => $this->do(Act::TAP, Roster::PHONE, 'end mesh'),
            );
    }

    /** Presses and holds in words: “Hold DIM until its lamp lights, then press DIM 6 times”. */
    private function keys(string $words, string $device): void
    {
        foreach (explode(', then ', $words) as $part) {
            $part = (string) preg_replace_callback(
                '/the key of zone (\d+),?/',
                function (array $m) use ($device): string {
                    $this->do(Act::SET, $device, "zone {$m[1]}");

                    return 'zone';
                },
                $part,
            );
            if (preg_match('/^hold (\S+) (?:for ([\d.]+) s|until its lamp lights)$/i', $part, $m) === 1) {
                $seconds = (float) ($m[2] ?? self::UNTIL_LIT);
                // A hold is heard when the key is let go.
                $this->now += $seconds;
                $this->do(Act::HOLD, $device, "{$m[1]} {$seconds}");

                continue;
            }
            if (preg_match('/^press (\S+)(?:,? (twice|(\d+) times))?(?: within ([\d.]+) s)?$/i', $part, $m) !== 1) {
                Assert::fail("not understood: {$part}");
            }
            $times = ($m[2] ?? '') === 'twice' ? 2 : max(1, (int) ($m[3] ?? 1));
            $beat = isset($m[4]) ? min(self::BEAT, (float) $m[4] / $times) : self::BEAT;
            foreach (range(1, $times) as $n) {
                $this->do(Act::PRESS, $device, $m[1], $n === $times ? self::BETWEEN : $beat);
            }
        }
    }

    /** Waits until a lamp or load has shown something since the step began, at most the seconds that are printed. */
    private function watch(string $device, float $most, float $began): void
    {
        $until = $this->now + $most;
        do {
            $this->site->advance($this->now);
            $shown = $this->site->device(strtolower($device))->shown($began - self::READS, $this->now);
            $this->now += 0.5;
        } while ($shown === [] && $this->now <= $until);
        Assert::assertNotSame([], $shown, "{$device} shows nothing within {$most} s");
    }

    private function do(string $kind, string $device, string $text = '', float $after = self::BETWEEN): void
    {
        $this->site->apply(Event::read($this->now, $kind, strtolower($device), $text));
        $this->now += $after;
    }

    private function hub(): string
    {
        return (string) array_key_first($this->site->roster->inRole('hub'));
    }

    /** @param  callable(array<int, string>): mixed  $act */
    private function reads(string $pattern, string $text, callable $act): bool
    {
        if (preg_match($pattern, $text, $m) !== 1) {
            return false;
        }
        $act($m);

        return true;
    }
}
