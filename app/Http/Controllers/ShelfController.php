<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\EntryRequest;
use App\Http\Requests\ShelfFileRequest;
use App\Http\Requests\ShelfSearchRequest;
use App\Kit\ShelfSearch;
use App\Kit\ShelfUses;
use App\Kit\Shelves;
use App\Models\Crew;
use App\Models\Job;
use App\Models\KitEntry;
use App\Models\User;
use App\Papers\Download;
use App\Screens\Shelf\EntryAnswer;
use App\Screens\Shelf\ImportCounts;
use App\Screens\Shelf\KindCount;
use App\Screens\Shelf\KindView;
use App\Screens\Shelf\ShelfEntry;
use App\Screens\Shelf\ShelfPage;
use App\Screens\Shelf\ShelfResults;
use EmberDusk\Kit\EntryCells;
use EmberDusk\Kit\Kinds;
use EmberDusk\Kit\Shelf;
use EmberDusk\Kit\ShelfCsv;
use EmberDusk\Values\OutOfTurn;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Inertia\Inertia;
use Inertia\Response as Page;

/** A crew's kit shelf: searched, changed by form, imported and given out as JSON and CSV. */
final readonly class ShelfController
{
    private const PAGE = 60;

    private const MOST = 20_000;

    public function index(ShelfSearchRequest $request, #[CurrentUser] User $user): Page
    {
        return Inertia::render(
            'Shelf',
            (new ShelfPage(
                kinds: array_map(KindView::for(...), array_values(Kinds::all())),
                found: self::found($request, $user->crew),
            ))->write(),
        );
    }

    public function search(ShelfSearchRequest $request, #[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse(self::found($request, $user->crew));
    }

    public function show(string $entry, #[CurrentUser] User $user, ShelfUses $uses): JsonResponse
    {
        $written = self::entry($user->crew, $entry)->document;

        return new JsonResponse(
            new EntryAnswer(
                cells: EntryCells::from($written),
                uses: $uses->for($user->crew, $entry, Shelves::ofCrew($user->crew)->find($entry)),
            ),
        );
    }

    /** Changes in one of the jobs with an older copy. */
    public function shift(string $entry, Job $job, ShelfUses $uses): JsonResponse
    {
        return new JsonResponse($uses->shift($job, $entry));
    }

    /** Saves an entry; a new one gets an id from its name. Copies in open jobs stay until updated. */
    public function store(EntryRequest $request, #[CurrentUser] User $user, ShelfUses $uses): JsonResponse
    {
        $cells = $request->cells();
        if (($cells['id'] ?? '') === '') {
            $cells['id'] = self::id($user->crew, $cells['kind'] ?? '', $cells['name'] ?? '');
        }
        $entry = EntryCells::read($cells);
        if ($user->crew->kitEntries()->count() >= self::MOST) {
            throw new OutOfTurn('The shelf is full: ' . self::MOST . ' entries. Remove some that no job uses.');
        }
        Shelves::put($user->crew, [$cells['id'] => $entry]);

        return $this->show($cells['id'], $user, $uses);
    }

    public function destroy(string $entry, #[CurrentUser] User $user): JsonResponse
    {
        $found = self::entry($user->crew, $entry);
        DB::transaction(static function () use ($found, $user): void {
            $found->delete();
            $user->crew->newQuery()->whereKey($user->crew_id)->increment('shelf_version');
        });

        return new JsonResponse(['gone' => $entry]);
    }

    public function import(ShelfFileRequest $request, #[CurrentUser] User $user): JsonResponse
    {
        $text = $request->text();
        $entries = str_starts_with(ltrim($text), '{') ? Shelf::file($text) : ShelfCsv::read($text);
        if ($user->crew->kitEntries()->count() + count($entries) > self::MOST) {
            throw new OutOfTurn(
                'The shelf takes ' . self::MOST . ' entries; with these it would have more. Nothing was imported.',
            );
        }
        $before = $user->crew
            ->kitEntries()
            ->whereIn('entry_id', array_keys($entries))
            ->get()
            ->mapWithKeys(static fn(KitEntry $e): array => [$e->entry_id => Shelf::hash($e->document)]);
        Shelves::put($user->crew, $entries);
        $same = count(
            array_filter(
                $entries,
                static fn(array $e, string $id): bool => $before->get($id) === Shelf::hash($e),
                ARRAY_FILTER_USE_BOTH,
            ),
        );

        return new JsonResponse(
            new ImportCounts(new: count($entries) - $before->count(), changed: $before->count() - $same, same: $same),
        );
    }

    public function export(ShelfSearchRequest $request, string $format, #[CurrentUser] User $user): Response
    {
        $entries = array_values(
            $user->crew
                ->kitEntries()
                ->when($request->kind() !== '', static fn($q) => $q->where('kind', $request->kind()))
                ->orderBy('id')
                ->get()
                ->map(static fn(KitEntry $e): array => $e->document)
                ->all(),
        );
        $name = 'shelf' . ($request->kind() === '' ? '' : '-' . $request->kind()) . '.' . $format;

        return Download::with(
            $format === 'csv' ? ShelfCsv::write($entries) : Shelf::write($entries),
            $name,
            $format === 'csv' ? Download::CSV : Download::JSON,
        );
    }

    private static function found(ShelfSearchRequest $request, Crew $crew): ShelfResults
    {
        $matching = ShelfSearch::matching($crew, $request->find());
        $counts = (clone $matching)
            ->toBase()
            ->selectRaw('kind, count(*) as n')
            ->groupBy('kind')
            ->pluck('n', 'kind')
            ->all();
        $shown = $matching->when($request->kind() !== '', static fn($q) => $q->where('kind', $request->kind()));
        $total = $request->kind() === '' ? array_sum($counts) : $counts[$request->kind()] ?? 0;

        return new ShelfResults(
            total: $total,
            page: $request->page(),
            pages: max(1, (int) ceil($total / self::PAGE)),
            counts: array_map(
                static fn(string $kind, mixed $n): KindCount => new KindCount(
                    kind: $kind,
                    count: is_numeric($n) ? (int) $n : 0,
                ),
                array_keys($counts),
                $counts,
            ),
            entries: array_values(
                $shown
                    ->orderBy('kind')
                    ->orderBy('id')
                    ->offset(($request->page() - 1) * self::PAGE)
                    ->limit(self::PAGE)
                    ->get()
                    ->map(
                        static fn(KitEntry $e): ShelfEntry => new ShelfEntry(
                            id: $e->entry_id,
                            kind: $e->kind,
                            name: $e->name,
                            facts: $e->facts === '' ? [] : explode(' · ', $e->facts),
                            price: is_numeric($e->document['price'] ?? null) ? (float) $e->document['price'] : null,
                        ),
                    )
                    ->all(),
            ),
        );
    }

    private static function entry(Crew $crew, string $id): KitEntry
    {
        return $crew->kitEntries()->where('entry_id', $id)->firstOr(static fn() => abort(404));
    }

    private static function id(Crew $crew, string $kind, string $name): string
    {
        $slug = Str::limit(Str::slug("{$kind} {$name}"), 34, '');
        $slug = trim(preg_match('/^[a-z]/', $slug) === 1 ? $slug : "kit-{$slug}", '-');
        for ($n = 1, $id = $slug; $crew->kitEntries()->where('entry_id', $id)->exists(); $n++, $id = "{$slug}-{$n}");

        return $id;
    }
}
