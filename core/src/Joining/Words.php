<?php

declare(strict_types=1);

namespace EmberDusk\Joining;

/** A line of the log in words. */
final readonly class Words
{
    /**
     * A whole log in words; the presses of one gesture are one line.
     *
     * @param  list<Event>  $log
     * @return list<array{at: string, kind: string, text: string}>
     */
    public static function lines(array $log, Kit $kit): array
    {
        $lines = [];
        $presses = 0;
        foreach ($log as $n => $e) {
            $before = $log[$n - 1] ?? null;
            $same =
                $e->kind === 'press' &&
                $before?->kind === 'press' &&
                $before->device === $e->device &&
                $e->at - $before->at < 2.0;
            $presses = $same ? $presses + 1 : 1;
            $line = [
                'at' => self::clock($e->at),
                'kind' => $e->kind,
                'text' => self::of($e, $kit) . ($same ? " {$presses} times" : ''),
            ];
            if ($same) {
                $lines[count($lines) - 1] = $line;
            } else {
                $lines[] = $line;
            }
        }

        return array_values($lines);
    }

    public static function of(Event $e, Kit $kit): string
    {
        $name = strtoupper($e->device);
        $profile = $kit->controllers[$e->device] ?? null;

        return match ($e->kind) {
            'power-on' => "{$name} switched on",
            'power-off' => "{$name} switched off",
            'press' => "{$name}: {$profile?->key} pressed",
            'search' => sprintf('Search started in the hub’s app, %g s', $kit->hub->search),
            'toggle' => "{$name} switched in the app",
            'saw-reset' => "{$name} flashed {$profile?->resetDone->words()}: reset",
            'saw-joined' => "{$name} flashed {$profile?->joined->words()}: joined",
            'saw-nothing' => "{$name}: nothing seen",
            'saw-other' => "{$name}: another pattern seen",
            'identified' => "{$name} is the one that answered",
            'not-identified' => "{$name} did not answer: another light",
            'found' => "The app lists “{$e->text}”",
            'missed' => "Window missed. {$e->text}",
            'named' => "{$name} named: {$e->text}",
            default => $e->kind,
        };
    }

    /** Run seconds as m:ss. */
    public static function clock(float $seconds): string
    {
        return sprintf('%d:%02d', intdiv((int) $seconds, 60), (int) $seconds % 60);
    }
}
