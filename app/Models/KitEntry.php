<?php

declare(strict_types=1);

namespace App\Models;

use EmberDusk\Kit\Facts;
use EmberDusk\Kit\Kinds;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Str;

/**
 * A shelf entry of a crew, as written. Kind, name, facts and search are copies from it, so that lists need not open it.
 *
 * @property int $id
 * @property string $entry_id
 * @property string $kind
 * @property string $name
 * @property string $facts the few that a choice is made by, parted by " · "
 * @property array<string, mixed> $document
 */
final class KitEntry extends Model
{
    protected $table = 'kit_entries';

    protected $fillable = ['entry_id', 'document', 'kind', 'name', 'search', 'facts'];

    /**
     * @param  array<array-key, mixed>  $document
     * @return array{kind: string, name: string, search: string, facts: string}
     */
    public static function columns(array $document): array
    {
        $text = static fn(string $key): string => is_string($document[$key] ?? null) ? $document[$key] : '';
        $kind = $text('kind');
        $facts = implode(' · ', Facts::written($document));

        return [
            'kind' => $kind,
            'name' => $text('name'),
            'facts' => $facts,
            'search' => Str::lower(
                implode(' ', [$text('name'), $text('id'), Kinds::get($kind)->name ?? $kind, $facts, $text('note')]),
            ),
        ];
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['document' => 'array'];
    }
}
