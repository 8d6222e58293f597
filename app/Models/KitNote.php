<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * Note of a crew about a piece of kit, for later jobs.
 *
 * @property int $id
 * @property int $crew_id
 * @property string $entry shelf id
 * @property string $says
 * @property string $day YYYY-MM-DD
 * @property-read User|null $user
 */
final class KitNote extends Model
{
    protected $table = 'kit_notes';

    public $timestamps = false;

    protected $fillable = ['user_id', 'entry', 'says', 'day', 'created_at'];

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
