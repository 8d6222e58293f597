<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A step of the work that is done.
 *
 * @property int $job_id
 * @property string $step
 * @property int $minutes that it took
 */
final class Tick extends Model
{
    protected $fillable = ['step', 'minutes', 'user_id'];
}
