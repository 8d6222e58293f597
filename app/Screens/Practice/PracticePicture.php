<?php

declare(strict_types=1);

namespace App\Screens\Practice;

use EmberDusk\Joining\Act;
use EmberDusk\Joining\Belief\Suspect;
use EmberDusk\Joining\Event;
use EmberDusk\Joining\EventWords;
use EmberDusk\Joining\Flaws;
use EmberDusk\Joining\LiveRun;
use EmberDusk\Joining\Practice\AppKeys;
use EmberDusk\Joining\Practice\Attempt;
use EmberDusk\Joining\Practice\Lesson;
use EmberDusk\Joining\Practice\Lessons;
use EmberDusk\Joining\Practice\Score;
use EmberDusk\Joining\Practice\Turning;
use EmberDusk\Joining\Roster;
use EmberDusk\Joining\Unit;
use EmberDusk\Kit\Profiles\Behaviour;

/** A lesson on the screen: topic, app keys, instructions, things to inspect, result. */
final readonly class PracticePicture
{
    /** Figures of instructions that hands have to know, in words. */
    private const FIGURES = [
        'listens' => 'it listens %g s',
        'linkListens' => 'a link window stays open %g s',
        'near' => 'held within %g m',
        'apart' => 'other powered controllers respond within %g m',
        'range' => 'it reaches %g m',
        'soon' => 'it takes a zone within %g s of power-on',
        'countdown' => 'its countdown is %g s',
        'search' => 'its search lasts %g s',
        'linkFrom' => 'it opens to links %g s after power-up',
        'linkUntil' => 'and until %g s after power-up',
        'entries' => 'it has %g lines in an app',
        'late' => 'its lights answer up to %g s late',
    ];

    public static function lesson(Lesson $lesson): LessonView
    {
        $next = Lessons::all()[$lesson->number] ?? null;

        return new LessonView(
            number: $lesson->number,
            key: $lesson->key,
            title: $lesson->title,
            teaches: $lesson->teaches,
            goal: $lesson->goal,
            told: $lesson->told,
            names: self::names($lesson),
            next: $next?->key,
            nextTitle: $next->title ?? '',
        );
    }

    /** @return list<string> of its lights */
    public static function names(Lesson $lesson): array
    {
        return array_values(
            array_map(
                static fn(Unit $u): string => $u->name,
                array_filter($lesson->roster->units, static fn(Unit $u): bool => $u->lights()),
            ),
        );
    }

    /** @return list<AppKey> */
    public static function keys(Lesson $lesson): array
    {
        return array_map(
            static fn(array $key): AppKey => new AppKey(
                device: $key[0]->device,
                app: $key[0]->device === Roster::PHONE ? 'phone' : $lesson->roster->unit($key[0]->device)->label(),
                text: $key[0]->text,
                label: $key[1],
            ),
            AppKeys::for($lesson->roster),
        );
    }

    /** @return list<AppLine> lines that the apps list now */
    public static function lines(LiveRun $run): array
    {
        $lines = [];
        foreach ($run->roster->inRole(Unit::HUB) as $hub) {
            $device = $run->site()?->device($hub->id);
            foreach ([$device?->deadLines() ?? [], ...array_values($device?->list() ?? [])] as $names) {
                foreach ($names as $name) {
                    $lines[] = new AppLine(
                        device: $hub->id,
                        app: $hub->label(),
                        name: $name,
                        given: self::given($run, $hub->id, $name),
                    );
                }
            }
        }
        usort($lines, static fn(AppLine $a, AppLine $b): int => strnatcmp($a->name, $b->name));

        return $lines;
    }

    /** The name that a line was last given. */
    private static function given(LiveRun $run, string $hub, string $line): string
    {
        $given = '';
        foreach ($run->log() as $event) {
            if (
                $event->kind === Act::TAP &&
                $event->device === $hub &&
                str_starts_with($event->text, "name {$line}=")
            ) {
                $given = substr($event->text, strlen("name {$line}="));
            }
            if ($event->kind === Event::FOUND && $event->device === $hub && $event->text === $line) {
                $given = '';
            }
        }

        return $given;
    }

    /** @return list<Leaflet> */
    public static function leaflets(Lesson $lesson): array
    {
        $leaflets = [];
        foreach ($lesson->roster->units as $unit) {
            $leaflet = $unit->leaflet;
            if ($unit->role === Unit::PHONE) {
                continue;
            }
            $gestures = [];
            foreach ($leaflet->gestures as $name => $gesture) {
                $gestures[] = new LeafletGesture(what: Behaviour::GESTURES[$name], words: $gesture->words());
            }
            $signals = [];
            foreach ($leaflet->signals as $name => $signal) {
                $signals[] = new LeafletSignal(
                    what: Behaviour::SIGNALS[$name],
                    words: $signal->words(),
                    times: $signal->times,
                );
            }
            $figures = [];
            foreach (self::FIGURES as $name => $words) {
                $figure = $leaflet->figure($name);
                if ($figure !== null) {
                    $figures[] = sprintf($words, $figure);
                }
            }
            if ($leaflet->lacks !== []) {
                $figures[] = 'its app does not set: ' . implode(', ', $leaflet->lacks);
            }
            $leaflets[] = new Leaflet(
                device: $unit->id,
                label: $unit->label(),
                name: $unit->name,
                gestures: $gestures,
                signals: $signals,
                figures: $figures,
            );
        }

        return $leaflets;
    }

    /** @return list<InsidePart> things to inspect */
    public static function parts(Lesson $lesson): array
    {
        return array_values(
            array_map(
                static fn(Suspect $s): InsidePart => new InsidePart(
                    device: $s->device,
                    code: $s->code,
                    label: $s->check,
                    seconds: $s->seconds,
                ),
                (new Flaws($lesson->roster))->suspects(),
            ),
        );
    }

    public static function score(Attempt $attempt, Score $score, ?Turning $turning): PracticeScore
    {
        $mistake = !$score->passed() ? $attempt->lesson->mistake : '';

        return new PracticeScore(
            passed: $score->passed(),
            clean: $score->clean(),
            works: $score->wanted - count($score->unmet),
            wanted: $score->wanted,
            resets: $score->resets,
            missed: $score->missed,
            seconds: round($score->seconds, 1),
            guide: round($score->guide, 1),
            lines: $score->lines($attempt),
            mistake: $mistake,
            turning: $turning === null
                ? null
                : new TurningView(at: $turning->at, clock: EventWords::clock($turning->at), says: $turning->says),
            guesses: $score->guesses,
            useless: $score->useless,
        );
    }
}
