<?php

declare(strict_types=1);

namespace App\Screens\Desk;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Values\Copies;

/** A job's state for its page: the newest revision, and one stage as a desk. */
final readonly class AnswerView implements View
{
    use Copies;
    use WrittenRecord;

    /**
     * @param  string|null  $undo  what undo takes back, in words
     */
    public function __construct(
        public int $job,
        public int $revision,
        public string $keptAt,
        public ?string $undo,
        public ?string $redo,
        public Desk $desk,
    ) {}

    /** @param  array<string, string>  $known  hashes of rows that the page has, by id */
    public function without(array $known): self
    {
        return $this->withChanged(desk: $this->desk->without($known));
    }
}
