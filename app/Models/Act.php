<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * A line of the record of who did what.
 *
 * @property int|null $crew_id
 * @property string $what
 * @property string $about
 * @property string $network from which, as Limits parts them
 * @property Carbon $at
 * @property-read User|null $user
 */
final class Act extends Model
{
    protected $table = 'acts';

    public $timestamps = false;

    protected $fillable = ['crew_id', 'user_id', 'what', 'about', 'network', 'at'];

    protected $casts = ['at' => 'datetime'];

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
