<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * Something that joining needs first and that exists: ticked.
 *
 * @property int $job_id
 * @property string $key as in the core's needs
 */
final class JoinNeed extends Model
{
    protected $table = 'join_needs';

    public $timestamps = false;

    protected $fillable = ['key', 'user_id', 'created_at'];
}
