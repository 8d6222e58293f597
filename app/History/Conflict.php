<?php

declare(strict_types=1);

namespace App\History;

use RuntimeException;

/** Someone else changed the same thing meanwhile; both changes in words. */
final class Conflict extends RuntimeException
{
    /**
     * @param  array{kind: 'undo'|'redo', number: int, words: string}|null  $over  the change of one's own that cannot
     *     be taken back or done again, and can be stepped over
     */
    private function __construct(
        string $message,
        public readonly string $yours,
        public readonly string $theirs,
        public readonly int $newest,
        public readonly ?array $over,
    ) {
        parent::__construct($message);
    }

    public static function ofChange(string $yours, string $theirs, int $newest): self
    {
        return new self(
            message: "Not saved: {$yours}. Meanwhile: {$theirs}. Check the newest state, then repeat your change if it still fits.",
            yours: $yours,
            theirs: $theirs,
            newest: $newest,
            over: null,
        );
    }

    /** @param  'undo'|'redo'  $kind */
    public static function ofUndo(string $kind, int $number, string $words, string $theirs, int $newest): self
    {
        $yours = $kind === 'undo' ? "taking back “{$words}”" : "“{$words}” again";

        return new self(
            message: "Not undone: {$yours}. Since then: {$theirs}. Undo that first, or skip yours: it stays as it is.",
            yours: $yours,
            theirs: $theirs,
            newest: $newest,
            over: ['kind' => $kind, 'number' => $number, 'words' => $words],
        );
    }
}
