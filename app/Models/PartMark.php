<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * How far a part of a job is.
 *
 * @property int $job_id
 * @property string $part key of the parts list
 * @property string $state of EmberDusk\Parts\Mark::STATES
 * @property string|null $arrives YYYY-MM-DD
 */
final class PartMark extends Model
{
    protected $table = 'part_marks';

    protected $fillable = ['part', 'state', 'arrives', 'user_id'];
}
