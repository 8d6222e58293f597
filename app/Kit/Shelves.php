<?php

declare(strict_types=1);

namespace App\Kit;

use App\Models\Crew;
use App\Models\KitEntry;
use App\Results\ResultStore;
use App\Time\Clock;
use EmberDusk\Circuit\Engine;
use EmberDusk\Formats\Fields;
use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Kit\Shelf;
use EmberDusk\Kit\ShelfSource;
use Illuminate\Support\Facades\DB;

/** A shelf: a crew's, read kind by kind on request, or a shelf file's. */
final class Shelves implements ShelfSource
{
    /** @var array<string, KitSnapshot|null> */
    private array $found = [];

    /** @var array<string, list<KitSnapshot>> */
    private array $kinds = [];

    private ?string $version = null;

    /** @param  array<string, array<array-key, mixed>>  $written  of a file, by id */
    private function __construct(private readonly ?Crew $crew, private readonly array $written) {}

    public static function ofCrew(Crew $crew): self
    {
        return new self($crew, []);
    }

    public static function ofFile(string $path): self
    {
        return new self(null, Shelf::file((string) file_get_contents($path)));
    }

    /** Puts a shelf file's entries on a crew's shelf. */
    public static function stock(Crew $crew, string $path): void
    {
        self::put($crew, Shelf::file((string) file_get_contents($path)));
    }

    /**
     * Saves checked entries on a crew's shelf; equal ids are replaced.
     *
     * @param  array<string, array<array-key, mixed>>  $entries
     */
    public static function put(Crew $crew, array $entries): void
    {
        DB::transaction(static function () use ($crew, $entries): void {
            $crew->newQuery()->whereKey($crew->id)->increment('shelf_version');
            foreach (array_chunk($entries, 200, true) as $chunk) {
                $crew->kitEntries()->upsert(
                    array_map(
                        static fn(array $e): array => [
                            'crew_id' => $crew->id,
                            'entry_id' => $e['id'],
                            'document' => json_encode(
                                $e,
                                JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_PRESERVE_ZERO_FRACTION,
                            ),
                            'created_at' => Clock::now(),
                            'updated_at' => Clock::now(),
                        ] + KitEntry::columns($e),
                        array_values($chunk),
                    ),
                    ['crew_id', 'entry_id'],
                    ['document', 'kind', 'name', 'search', 'facts', 'updated_at'],
                );
            }
        });
    }

    public function find(string $id): ?KitSnapshot
    {
        if (!array_key_exists($id, $this->found)) {
            $written = $this->written[$id] ?? $this->crew?->kitEntries()->where('entry_id', $id)->first()?->document;
            $this->found[$id] = $written === null ? null : self::frozen($written);
        }

        return $this->found[$id];
    }

    public function ofKind(string $kind): array
    {
        return $this->kinds[$kind] ??=
            $this->crew === null
                ? array_map(
                    self::frozen(...),
                    array_values(array_filter($this->written, static fn(array $w): bool => $w['kind'] === $kind)),
                )
                : $this->kept($this->crew, $kind);
    }

    /**
     * Reading entries again at every edit takes longer than all checks: they are kept as read until the shelf changes.
     *
     * @return list<KitSnapshot>
     */
    private function kept(Crew $crew, string $kind): array
    {
        $store = app(ResultStore::class);
        // The model may be older than the last change of the shelf.
        $this->version ??= (string) DB::table('crews')->where('id', $crew->id)->value('shelf_version');
        $key = implode('.', ['shelf', Engine::VERSION, $crew->id, $this->version, $kind]);
        $kept = $store->get($key);
        if (is_array($kept)) {
            /** @var list<KitSnapshot> $kept */
            return $kept;
        }
        $read = array_values(
            $crew
                ->kitEntries()
                ->where('kind', $kind)
                ->orderBy('id')
                ->get()
                ->map(static fn(KitEntry $e): KitSnapshot => self::frozen($e->document))
                ->all(),
        );
        $store->put($key, $read);

        return $read;
    }

    /** @param  array<array-key, mixed>  $written */
    public static function frozen(array $written): KitSnapshot
    {
        return new KitSnapshot(Shelf::hash($written), $written, Shelf::entry(new Fields($written)));
    }
}
