<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A press on a step's tick: done, or undone. Facts: never changed; the latest one counts.
 *
 * @property int $job_id
 * @property string $uuid given by the phone, so that one that is sent twice is one
 * @property string $step
 * @property string $kind of EmberDusk\Rates\Work
 * @property bool $done
 * @property float $table_minutes by the table of times when it was ticked
 * @property int $minutes that it took
 * @property string $words title of the step or test at that time
 * @property string $at when it was pressed, YYYY-MM-DDTHH:MM:SS.sssZ
 * @property User|null $user who pressed it; null for presses of before people had accounts
 */
final class StepTick extends Model
{
    protected $table = 'ticks';

    protected $fillable = ['uuid', 'step', 'kind', 'done', 'table_minutes', 'minutes', 'at', 'user_id', 'words'];

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    protected $casts = ['done' => 'boolean', 'minutes' => 'integer', 'table_minutes' => 'float'];
}
