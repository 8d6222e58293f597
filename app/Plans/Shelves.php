<?php

declare(strict_types=1);

namespace App\Plans;

use App\Models\Crew;
use App\Models\KitEntry;
use EmberDusk\Formats\Fields;
use EmberDusk\Kit\Entry;
use EmberDusk\Kit\Shelf;
use EmberDusk\Plan\Changes\ShelfSource;
use EmberDusk\Plan\Frozen;

/** A crew's shelf, read once. */
final class Shelves implements ShelfSource
{
    /** @var array<string, array{entry: Entry, written: array<array-key, mixed>}> */
    private array $entries = [];

    /** @param  iterable<array<array-key, mixed>>  $written */
    private function __construct(iterable $written)
    {
        foreach ($written as $document) {
            $entry = Shelf::entry(new Fields($document));
            $this->entries[$entry->id()] = ['entry' => $entry, 'written' => $document];
        }
    }

    public static function ofCrew(Crew $crew): self
    {
        return new self($crew->kitEntries()->orderBy('id')->get()->map(static fn (KitEntry $e): array => $e->document)->all());
    }

    public static function ofFile(string $path): self
    {
        return new self(Shelf::file((string) file_get_contents($path)));
    }

    /** Puts a shelf file's entries on a crew's shelf. */
    public static function stock(Crew $crew, string $path): void
    {
        foreach (Shelf::file((string) file_get_contents($path)) as $id => $document) {
            $crew->kitEntries()->updateOrCreate(['entry_id' => $id], ['document' => $document]);
        }
    }

    public function find(string $id): ?Frozen
    {
        $found = $this->entries[$id] ?? null;

        return $found === null ? null : new Frozen(Shelf::hash($found['written']), $found['written'], $found['entry']);
    }

    /** @return array<string, array{entry: Entry, written: array<array-key, mixed>}> */
    public function all(): array
    {
        return $this->entries;
    }
}
