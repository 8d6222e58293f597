<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A lesson in progress on simulated devices.
 *
 * @property int $id
 * @property int $user_id
 * @property string $lesson
 * @property list<array{float, string, string, string, string|null}> $log when, kind, device, text, and the name that a device gave it
 * @property float|null $ended_at run seconds at which every control was pressed
 * @property array<string, mixed>|null $score a PracticeScore
 */
final class PracticeRun extends Model
{
    use RunClock;

    protected $table = 'practice_runs';

    protected $fillable = ['user_id', 'lesson', 'clock_seconds', 'clock_since', 'speed', 'log', 'ended_at', 'score'];

    protected $casts = [
        'clock_seconds' => 'float',
        'clock_since' => 'float',
        'speed' => 'integer',
        'log' => 'array',
        'ended_at' => 'float',
        'score' => 'array',
    ];
}
