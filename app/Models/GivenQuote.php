<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * A sent quote.
 *
 * @property int $id
 * @property int $revision
 * @property int $total hundredths of the currency
 * @property array<string, array{what: string, count: string, cents: int}> $lines
 * @property Carbon $created_at
 */
final class GivenQuote extends Model
{
    protected $table = 'quotes';

    protected $fillable = ['user_id', 'revision', 'total', 'lines'];

    protected $casts = ['lines' => 'array'];
}
