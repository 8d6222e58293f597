<?php

declare(strict_types=1);

namespace App\History;

use App\Models\Job;
use App\Models\User;

/** Changes that one user can undo and redo in a job, derived from the history. Any other change of theirs clears redo. */
final readonly class OwnChanges
{
    /** Kind of a revision that changes nothing but what undo and redo go through. */
    public const OVER = 'over';

    /**
     * @param  array<int, string>  $undo  words by revision number, oldest first
     * @param  array<int, string>  $redo
     */
    private function __construct(private array $undo, private array $redo) {}

    public static function for(Job $job, User $user): self
    {
        $undo = $redo = [];
        foreach (
            $job
                ->revisions()
                ->where('user_id', $user->id)
                ->orderBy('number')
                ->toBase()
                ->get(['number', 'kind', 'restores', 'words'])
            as $row
        ) {
            /** @var object{number: int, kind: string, restores: int|null, words: string} $r */
            $r = $row;
            $of = (int) $r->restores;
            if ($r->kind === 'change') {
                $undo[$r->number] = $r->words;
                $redo = [];
            } elseif ($r->kind === 'undo') {
                $redo[$of] = $undo[$of] ?? '';
                unset($undo[$of]);
            } elseif ($r->kind === self::OVER) {
                unset($undo[$of], $redo[$of]);
            } elseif ($r->kind === 'redo') {
                $undo[$of] = $redo[$of] ?? '';
                unset($redo[$of]);
            }
        }

        return new self($undo, $redo);
    }

    /** Number of the revision that comes next, if any. */
    public function top(string $kind): ?int
    {
        return array_key_last($kind === 'undo' ? $this->undo : $this->redo);
    }

    public function words(string $kind): ?string
    {
        $stack = $kind === 'undo' ? $this->undo : $this->redo;
        $top = array_key_last($stack);
        if ($top === null) {
            return null;
        }

        return $stack[$top];
    }
}
