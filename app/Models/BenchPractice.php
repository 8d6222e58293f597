<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * Bench practice: a job with hidden faults.
 *
 * @property int $id
 * @property int $job_id
 * @property int $seed
 * @property list<string> $faults
 */
final class BenchPractice extends Model
{
    protected $table = 'bench_practices';

    public $timestamps = false;

    protected $fillable = ['user_id', 'seed', 'faults', 'created_at'];

    protected $casts = ['faults' => 'array'];
}
