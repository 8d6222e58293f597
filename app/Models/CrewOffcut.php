<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * An offcut of a reel or a length in the van.
 *
 * @property int $id
 * @property int $crew_id
 * @property string $kit shelf id
 * @property int $mm
 * @property int|null $kept_for the job that has packed it
 * @property int|null $left_by the job that it is left over from
 */
final class CrewOffcut extends Model
{
    protected $table = 'offcuts';

    protected $fillable = ['kit', 'mm', 'kept_for', 'left_by'];

    protected $casts = ['mm' => 'integer', 'kept_for' => 'integer', 'left_by' => 'integer'];
}
