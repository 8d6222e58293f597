<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * How a job is gone about.
 *
 * @property int $job_id
 * @property int $people
 * @property string $start YYYY-MM-DD
 */
final class Visit extends Model
{
    protected $fillable = ['people', 'start'];
}
