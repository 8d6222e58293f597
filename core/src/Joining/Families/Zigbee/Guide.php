<?php

declare(strict_types=1);

namespace EmberDusk\Joining\Families\Zigbee;

use EmberDusk\Joining\Event;
use EmberDusk\Joining\Kit;
use EmberDusk\Joining\Step;
use EmberDusk\Joining\Words;
use EmberDusk\Kit\Profiles\ControllerProfile;

/**
 * The one correct next step of a join run. It knows the leaflets, the log and the clock, never the devices themselves.
 *
 * Order: power one controller, start the hub's search, reset (the window then starts when the hub already listens),
 * look for the confirmation, wait for the app's list, switch the light to see which it is, name it. Common practice.
 */
final readonly class Guide
{
    /**
     * A search with less left than a join takes is started again first.
     *
     * @param  list<Event>  $log
     */
    public static function next(Kit $kit, array $log, float $now): Step
    {
        foreach (array_keys($kit->controllers) as $device) {
            $attempt = Attempt::of($device, $kit, $log);
            if (!$attempt->named) {
                return self::step($kit, $device, $attempt, $now);
            }
        }

        return new Step(
            kind: 'done',
            device: '',
            where: '',
            title: 'Every controller is joined and named',
            why: 'Go on to Hand over: the sheet holds names, rooms and how to reset.',
            answers: [],
        );
    }

    /**
     * What the clock alone has decided since the last line of the log: a window that nothing can have used.
     *
     * @param  list<Event>  $log
     * @return list<Event>
     */
    public static function notices(Kit $kit, array $log, float $now): array
    {
        $notices = [];
        foreach ($kit->controllers as $device => $profile) {
            $attempt = Attempt::of($device, $kit, $log);
            if ($attempt->resetAt === null || $attempt->joinedSeen || $attempt->listedAs !== null) {
                continue;
            }
            $closes = $attempt->resetAt + $profile->listens;
            if ($now <= $closes) {
                continue;
            }
            $searched = Windows::overlap(Windows::searches($kit, $log), $attempt->resetAt, $closes);
            $name = strtoupper($device);
            if ($searched < $profile->takesLeast) {
                $notices[] = new Event(
                    $closes,
                    'missed',
                    $device,
                    $searched <= 0
                        ? sprintf(
                            '%s listened from %s to %s and no hub was searching. Start the search, then reset.',
                            $name,
                            Words::clock($attempt->resetAt),
                            Words::clock($closes),
                        )
                        : sprintf(
                            'Search and window met for %.1f s only; joining takes %.1f s at least. Start the search first, then reset.',
                            $searched,
                            $profile->takesLeast,
                        ),
                );
            } elseif ($attempt->nothingSeen) {
                $notices[] = new Event(
                    $closes,
                    'missed',
                    $device,
                    "{$name} listened for {$profile->listens} s and did not confirm. Hold the hub nearer or check that " .
                        'the load is connected, then reset once more.',
                );
            }
        }

        return $notices;
    }

    private static function step(Kit $kit, string $device, Attempt $a, float $now): Step
    {
        $profile = $kit->controllers[$device];
        $name = strtoupper($device);
        $where = "at {$name}, " . mb_strtolower($kit->names[$device]);
        $searchEnds = $a->searchFrom === null ? null : $a->searchFrom + $kit->hub->search;
        $searching = $searchEnds !== null && $now < $searchEnds;
        if (!$a->powered) {
            return new Step(
                kind: 'power',
                device: $device,
                where: $where,
                title: "Switch {$name} on, the others off",
                why: 'One powered controller at a time: what is then found can only be this one.',
                answers: ['power-on'],
                caution: 'Mains to the supply: isolate before you touch terminals. Mains wiring is for a licensed person; local rules decide.',
                alert: $a->missed,
            );
        }
        if ($a->resetAt === null) {
            if (!$searching || $searchEnds - $now < $profile->takesMost) {
                return new Step(
                    kind: 'search',
                    device: $kit->hubId,
                    where: 'phone, hub’s app',
                    title: 'Press Search in the hub’s app',
                    why: sprintf(
                        'It looks for %g s. %s listens for only %g s after its reset; the hub must be looking by then.',
                        $kit->hub->search,
                        $name,
                        $profile->listens,
                    ),
                    answers: ['search'],
                    alert: $a->missed,
                );
            }

            return self::reset(
                kit: $kit,
                device: $device,
                a: $a,
                profile: $profile,
                where: $where,
                search: [$a->searchFrom ?? 0.0, $searchEnds],
            );
        }
        if ($a->listedAs === null) {
            return self::look(kit: $kit, device: $device, a: $a, now: $now, where: $where);
        }

        return self::app($device, $a, $where, $kit);
    }

    /** @param  array{float, float}  $search */
    private static function reset(
        Kit $kit,
        string $device,
        Attempt $a,
        ControllerProfile $profile,
        string $where,
        array $search,
    ): Step {
        $name = strtoupper($device);
        $alert = $a->missed;
        if ($a->presses !== [] && end($a->presses) - $a->presses[0] > $profile->pressesWithin) {
            $alert = sprintf(
                '%d presses in %.1f s do not count: %d within %g s are needed.',
                count($a->presses),
                end($a->presses) - $a->presses[0],
                $profile->presses,
                $profile->pressesWithin,
            );
        }

        return new Step(
            kind: 'reset',
            device: $device,
            where: $where,
            title: sprintf('Press %s on %s %d times, quickly', $profile->key, $name, $profile->presses),
            why: sprintf(
                'The hub is already looking. %s forgets any old network and listens for %g s.',
                $name,
                $profile->listens,
            ),
            answers: ['press'],
            expect: $profile->resetDone,
            window: $search,
            alert: $alert,
        );
    }

    private static function look(Kit $kit, string $device, Attempt $a, float $now, string $where): Step
    {
        $profile = $kit->controllers[$device];
        $name = strtoupper($device);
        $from = $a->resetAt ?? $now;
        $window = [$from, $from + $profile->listens];
        if (!$a->resetSeen) {
            return new Step(
                kind: 'look-reset',
                device: $device,
                where: $where,
                title: 'Did the strip flash ' . $profile->resetDone->words() . '?',
                why: "That is {$name} saying that it has forgotten its old network.",
                answers: ['saw-reset', 'saw-joined', 'saw-other', 'saw-nothing'],
                expect: $profile->resetDone,
                window: $window,
            );
        }
        if ($a->joinedSeen) {
            return new Step(
                kind: 'appear',
                device: $device,
                where: 'phone, hub’s app',
                title: 'Wait for the light in the app’s list',
                why: sprintf('The list lags behind by up to %g s. Lights come numbered.', $kit->hub->lagMost),
                answers: ['found'],
                window: [$now, $now + $kit->hub->lagMost],
            );
        }
        $over = $now > $window[1];
        $answers = ['saw-joined', 'saw-other', 'saw-nothing'];
        if ($over) {
            return new Step(
                kind: 'look-joined',
                device: $device,
                where: $where,
                title: "Did the strip flash {$profile->joined->words()} while {$name} listened?",
                why: "{$name} stopped listening at " .
                    Words::clock($window[1]) .
                    '. What was seen decides whether to go on or to reset again.',
                answers: $answers,
                expect: $profile->joined,
                window: $window,
            );
        }

        return new Step(
            kind: 'look-joined',
            device: $device,
            where: $where,
            title: 'Look for ' . $profile->joined->words(),
            why: $a->nothingSeen
                ? "Nothing yet. Keep looking: {$name} still listens."
                : "That is {$name} saying that it has joined. It has as long as it listens.",
            answers: $answers,
            expect: $profile->joined,
            window: $window,
            alert: $a->wrongSeen ? 'Another pattern is not the confirmation. Keep looking.' : '',
        );
    }

    private static function app(string $device, Attempt $a, string $where, Kit $kit): Step
    {
        $listed = $a->listedAs ?? '';
        if (!$a->toggled) {
            return new Step(
                kind: 'toggle',
                device: $device,
                where: 'phone, hub’s app',
                title: "Switch “{$listed}” in the app",
                why: 'Lights come numbered. Switch it and look which strip answers: nothing is named by guess.',
                answers: ['toggle'],
            );
        }
        if (!$a->identified) {
            return new Step(
                kind: 'identify',
                device: $device,
                where: $where,
                title: "Did the strip of {$kit->names[$device]} answer?",
                why: "“{$listed}” was switched. If another strip answered, it is another light.",
                answers: ['identified', 'not-identified'],
            );
        }

        return new Step(
            kind: 'name',
            device: $device,
            where: 'phone, hub’s app',
            title: "Name “{$listed}”",
            why: 'People will say this name. Short, plain, unlike every other.',
            answers: ['named'],
        );
    }
}
