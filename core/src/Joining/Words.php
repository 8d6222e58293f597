<?php

declare(strict_types=1);

namespace EmberDusk\Joining;

/** A line of the log in words. */
final readonly class Words
{
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
}
