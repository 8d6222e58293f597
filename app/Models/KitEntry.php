<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A shelf entry of a crew, as written.
 *
 * @property string $entry_id
 * @property array<array-key, mixed> $document
 */
final class KitEntry extends Model
{
    protected $fillable = ['entry_id', 'document'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['document' => 'array'];
    }
}
