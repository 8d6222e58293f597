<?php

declare(strict_types=1);

namespace App\Screens\Join;

use EmberDusk\Joining\Event;
use EmberDusk\Joining\LiveRun;
use EmberDusk\Joining\Step;
use EmberDusk\Joining\Words;
use EmberDusk\Kit\Profiles\Signal;

/** A live run as the screen shows it: step, lanes, the drawn kit, the app's list, the log. Times in run seconds. */
final readonly class JoinPicture
{
    /** @return array<string, mixed> as in app/Screens/Join/join.json, $defs/joinPicture */
    public static function of(LiveRun $run, float $now): array
    {
        $site = $run->site($now);
        $log = $run->log();
        $step = $run->next($now);

        return [
            'now' => $now,
            'step' => self::step($step),
            'lanes' => [
                self::hubLane($run),
                ...array_map(static fn(string $d): array => self::lane($run, $d), array_keys($run->kit->controllers)),
            ],
            'devices' => array_map(
                static fn(string $d): array => [
                    'id' => $d,
                    'name' => $run->kit->names[$d],
                    'key' => $run->kit->controllers[$d]->key,
                    'presses' => $run->kit->controllers[$d]->presses,
                    'powered' => $site->isPowered($d),
                    'lit' => $site->isLit($d),
                    'signal' => self::signal($site->signal($d)),
                ],
                array_keys($run->kit->controllers),
            ),
            'list' => array_map(
                static fn(string $d, string $n): array => ['device' => $d, 'name' => $n],
                array_keys($site->list()),
                array_values($site->list()),
            ),
            'letters' => $run->kit->hub->letters,
            'log' => Words::lines($log, $run->kit),
            'missed' => count(array_filter($log, static fn(Event $e): bool => $e->kind === 'missed')),
            'named' => count(array_filter($log, static fn(Event $e): bool => $e->kind === 'named')),
            'nextAt' => self::nextAt($run, $now),
            'done' => $step->kind === 'done',
        ];
    }

    /** When something shows or closes by itself next, in run seconds; null when nothing will. */
    public static function nextAt(LiveRun $run, float $now): ?float
    {
        $closes = $run->next($now)->window[1] ?? null;

        return self::soonest($now, [$run->site($now)->nextChange(), $closes === null ? null : $closes + 0.05]);
    }

    /** @return array<string, mixed> */
    public static function step(Step $s): array
    {
        return [
            'kind' => $s->kind,
            'device' => $s->device,
            'where' => $s->where,
            'title' => $s->title,
            'why' => $s->why,
            'answers' => $s->answers,
            'yes' => $s->yes(),
            'no' => $s->no(),
            'expect' => $s->expect === null ? null : ['words' => $s->expect->words(), 'times' => $s->expect->times],
            'from' => $s->window[0] ?? null,
            'to' => $s->window[1] ?? null,
            'alert' => $s->alert,
            'caution' => $s->caution,
        ];
    }

    /** @return array<string, mixed> */
    private static function hubLane(LiveRun $run): array
    {
        return [
            'id' => $run->kit->hubId,
            'label' => 'Hub',
            'note' => 'phone app',
            'bars' => array_map(
                static fn(array $w): array => ['from' => $w[0], 'to' => $w[1], 'kind' => 'search', 'text' => 'search'],
                $run->kit->family->searches($run->kit, $run->log()),
            ),
            'marks' => self::marks($run, $run->kit->hubId, ['found' => 'listed']),
        ];
    }

    /** @return array<string, mixed> */
    private static function lane(LiveRun $run, string $device): array
    {
        return [
            'id' => $device,
            'label' => strtoupper($device),
            'note' => $run->kit->names[$device],
            'bars' => array_map(
                static fn(array $w): array => [
                    'from' => $w[0],
                    'to' => $w[1],
                    'kind' => 'listens',
                    'text' => 'listens',
                ],
                $run->kit->family->listening($run->kit, $device, $run->log()),
            ),
            'marks' => self::marks($run, $device, [
                'power-on' => 'on',
                'power-off' => 'off',
                'saw-joined' => 'joined',
                'missed' => 'missed',
                'found' => 'listed',
                'named' => 'named',
            ]),
        ];
    }

    /**
     * @param  array<string, string>  $kinds
     * @return list<array{at: float, text: string}>
     */
    private static function marks(LiveRun $run, string $device, array $kinds): array
    {
        $marks = [];
        foreach ($run->log() as $e) {
            if ($e->device === $device && isset($kinds[$e->kind])) {
                $marks[] = ['at' => $e->at, 'text' => $kinds[$e->kind]];
            }
        }

        return $marks;
    }

    /**
     * @param  array{float, Signal}|null  $signal
     * @return array{from: float, times: list<float>}|null
     */
    private static function signal(?array $signal): ?array
    {
        if ($signal === null) {
            return null;
        }

        return ['from' => $signal[0], 'times' => $signal[1]->times];
    }

    /** @param  list<float|null>  $times */
    private static function soonest(float $now, array $times): ?float
    {
        $coming = array_filter($times, static fn(?float $t): bool => $t !== null && $t > $now);
        if ($coming === []) {
            return null;
        }

        return min($coming);
    }
}
