<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * A link by which a client reads the sheet of a job.
 *
 * @property int $id
 * @property Carbon $expires_at
 * @property Carbon|null $revoked_at
 * @property string|null $secret that the address carries; null for links made before 2026-11-29, whose address is signed
 * @property-read Job $job
 */
final class ClientLink extends Model
{
    protected $table = 'client_links';

    public $timestamps = false;

    protected $fillable = ['user_id', 'expires_at', 'revoked_at', 'created_at', 'secret'];

    protected $casts = ['expires_at' => 'datetime', 'revoked_at' => 'datetime'];

    /** @return BelongsTo<Job, $this> */
    public function job(): BelongsTo
    {
        return $this->belongsTo(Job::class);
    }
}
