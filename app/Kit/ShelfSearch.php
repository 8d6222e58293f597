<?php

declare(strict_types=1);

namespace App\Kit;

use App\Models\Crew;
use App\Models\KitEntry;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Str;

/** Search among a crew's kit entries: every word must be in the entry. */
final readonly class ShelfSearch
{
    /** @return HasMany<KitEntry, Crew> */
    public static function matching(Crew $crew, string $words): HasMany
    {
        $matching = $crew->kitEntries();
        foreach (preg_split('/\s+/u', Str::lower($words), -1, PREG_SPLIT_NO_EMPTY) ?: [] as $word) {
            $matching->whereRaw("search like ? escape '\\'", ['%' . addcslashes($word, '\\%_') . '%']);
        }

        return $matching;
    }
}
