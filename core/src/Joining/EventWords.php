<?php

declare(strict_types=1);

namespace EmberDusk\Joining;

use EmberDusk\Plan\Source;

/** Tasks and lines of the log in words. */
final readonly class EventWords
{
    /** Suffix of a control with zones; 0 means none. */
    public static function zone(int $zone): string
    {
        if ($zone === 0) {
            return '';
        }

        return " zone {$zone}";
    }

    public static function task(Task $task, Roster $roster): string
    {
        $device = $roster->has($task->device) ? $roster->unit($task->device)->called() : strtoupper($task->device);
        $other = $roster->has($task->other) ? $roster->unit($task->other)->label() : strtoupper($task->other);

        return match ($task->what) {
            Task::SETUP => "Setting up {$device}",
            Task::JOIN => $task->other === Roster::PHONE ? "Joining {$device}" : "Joining {$device} to {$other}",
            Task::LINK => "Linking {$device}" . self::zone($task->zone) . " to {$other}",
            Task::READ => "Linking {$device} to {$other}",
            Task::MAINS => "{$device} " .
                ($roster->has($task->device) ? $roster->unit($task->device)->source : Source::Mains)->cycled(),
            Task::STORE => "Storing preset {$task->zone} of {$device}",
            Task::PHONES => "Testing {$other} by {$device} from each further phone",
            Task::CLOSED => "Testing {$other} by {$device} with covers closed",
            default => "Testing {$other} by {$device}" . self::zone($task->zone),
        };
    }

    /** Note beside a step that did not go as it should. */
    public static function missed(JoinStep $step, Observation $seen): string
    {
        return ucfirst($seen->words()) . '. ' . ($step->ifNot === '' ? 'Repeat the last step.' : $step->ifNot);
    }

    /** Note beside the next device when the one before is left for later. */
    public static function later(Task $task, Roster $roster, Observation $seen): string
    {
        return self::task($task, $roster) . ': ' . $seen->words() . '. It comes again later.';
    }

    /** Message when no fault explains a failing step: an answer was wrong. */
    public static function unfitting(JoinStep $step): string
    {
        return "These answers contradict each other: “{$step->title}” fails, and every possible cause was reported " .
            'as fine. Repeat the sequence from the start.';
    }

    /** @param  list<string>  $excluded checked and excluded causes */
    public static function unexplained(Task $task, Roster $roster, array $excluded): string
    {
        return self::task($task, $roster) .
            ' is not explained' .
            ($excluded === [] ? '' : ': already checked: “' . implode('”, “', $excluded) . '”') .
            '.';
    }

    /**
     * A complete log in words; the presses of one gesture are one line.
     *
     * @param  list<Event>  $log
     * @return list<JoinLine>
     */
    public static function lines(array $log): array
    {
        $lines = [];
        $presses = 0;
        foreach ($log as $n => $e) {
            $text = self::for($e);
            if ($text === '') {
                continue;
            }
            $before = $log[$n - 1] ?? null;
            $same =
                $e->kind === Act::PRESS &&
                $before?->kind === Act::PRESS &&
                $before->device === $e->device &&
                $before->text === $e->text &&
                $e->at - $before->at < 2.0;
            $presses = $same ? $presses + 1 : 1;
            $line = new JoinLine(
                at: self::clock($e->at),
                kind: $e->kind,
                device: $e->device,
                text: $text . ($same ? " {$presses} times" : ''),
            );
            if ($same) {
                $lines[count($lines) - 1] = $line;
            } else {
                $lines[] = $line;
            }
        }

        return array_values($lines);
    }

    /** One line of a log; empty for internal events. */
    public static function for(Event $e): string
    {
        $name = strtoupper($e->device);

        return match ($e->kind) {
            Act::ON => "{$name} switched on",
            Act::OFF => "{$name} switched off",
            Act::PRESS => "{$name}: " . ($e->text === '' ? 'key' : $e->text) . ' pressed',
            Act::HOLD => "{$name}: " . explode(' ', $e->text)[0] . ' held',
            Act::NEAR => "{$name} held to " . strtoupper(explode(' ', $e->text)[0]),
            Act::TAP => self::tapped($name, $e->text),
            Act::SET => "{$name}: {$e->text}",
            Event::SAW => self::seen($e),
            Event::FOUND => "In the app’s list: “{$e->text}”",
            Event::NAMED => "{$name} named: " . rtrim($e->text, ', '),
            Event::MENDED => "{$name}: " . self::fault($e->text) . ($e->wasSo === true ? ', fixed' : '? No'),
            Event::JOINED => "{$name} is joined",
            'missed' => "Window missed. {$e->text}",
            // Kinds of runs that were made before devices of all families could be joined.
            'search' => 'Search started in the hub’s app',
            'toggle' => "{$name} switched in the app",
            'saw-reset' => "{$name} flashed: reset",
            'saw-joined' => "{$name} flashed: joined",
            'saw-nothing' => "{$name}: nothing seen",
            'saw-other' => "{$name}: another pattern seen",
            'identified' => "{$name} responded",
            'not-identified' => "{$name} did not respond: another light",
            default => '',
        };
    }

    private static function tapped(string $name, string $text): string
    {
        [$key, $given] = [...explode(' ', $text, 2), ''];

        return match ($key) {
            'search' => "Search started in the app of {$name}",
            'end' => 'Search ended in the app',
            'toggle' => "“{$given}” switched in the app",
            'name' => '',
            default => "App of {$name}: " . trim("{$key} " . strtoupper($given)),
        };
    }

    /** A key of an app, as it could be on it. */
    public static function key(Act $tap): string
    {
        [$key, $given] = [...explode(' ', $tap->text, 2), ''];
        [$light, $zone] = [...explode(' ', strtoupper($given)), ''];

        return match ($key) {
            'search' => 'Search',
            'end' => 'End the search',
            'link' => "Read {$light}",
            'enter' => 'Join its network',
            'kind' => "Kind of {$light}",
            'swipe' => "Bind {$light} in the app",
            'zone' => "Zone {$zone} takes {$light}",
            'app' => 'Open the app',
            'style' => "Kind of controller for {$light}",
            'connect' => 'Connect',
            'type' => 'Type, order, count',
            'give' => 'Give it the network',
            'open' => 'Open its page',
            'set' => 'Set colours and count',
            'live' => 'Is it live?',
            default => $tap->text,
        };
    }

    private static function seen(Event $e): string
    {
        if ($e->step === null || $e->seen === null) {
            return '';
        }
        $device = strtoupper($e->step->device());
        $other = strtoupper($e->step->other());

        $tried = match ($e->step->what()) {
            Task::ACCEPT => "{$other} by {$device}",
            Task::STORE => str_replace('PRESET', 'Preset ', $other) . " of {$device}",
            Task::PHONES => "{$other} by {$device}, from each further phone",
            Task::CLOSED => "{$other} by {$device}, covers closed",
            Task::MAINS => "{$other} after power off and on",
            Task::OFFLINE => "{$other} by {$device}, without internet",
            Task::HUBLESS => "{$other} by {$device}, without the hub",
            default => "{$device}, " . self::fault($e->step->kind),
        };

        return "{$tried}: " . $e->seen->words();
    }

    /** A key with its dashes as words. */
    private static function fault(string $code): string
    {
        return str_replace('-', ' ', $code);
    }

    /** Run seconds as m:ss. */
    public static function clock(float $seconds): string
    {
        return sprintf('%d:%02d', intdiv((int) $seconds, 60), (int) $seconds % 60);
    }
}
