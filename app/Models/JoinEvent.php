<?php

declare(strict_types=1);

namespace App\Models;

use EmberDusk\Joining\Event;
use EmberDusk\Joining\Observation;
use EmberDusk\Joining\StepAnswer;
use EmberDusk\Joining\StepKey;
use EmberDusk\Joining\Task;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * A line of a join run's log. Facts: never changed, never undone.
 *
 * @property int $number
 * @property float $at
 * @property string $kind
 * @property string $device
 * @property string $text
 * @property string|null $task id of the task whose step was answered
 * @property string|null $step its kind
 * @property string|null $answer what was seen at it; of a checked fault yes or no
 * @property Carbon $created_at
 * @property-read User|null $user
 * @property string|null $client the name that the device gave it, so that one sent twice is one
 */
final class JoinEvent extends Model
{
    protected $table = 'join_events';

    public $timestamps = false;

    protected $fillable = [
        'number',
        'at',
        'kind',
        'device',
        'text',
        'task',
        'step',
        'answer',
        'client',
        'user_id',
        'created_at',
    ];

    protected $casts = ['at' => 'float', 'created_at' => 'datetime'];

    /** @return BelongsTo<User, $this> who answered */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return Builder<self> trials on site that were answered, of a control and a light each */
    public static function answered(Job $job): Builder
    {
        return self::query()
            ->whereIn('join_run_id', $job->joinRuns()->where('site', true)->select('id'))
            ->where('kind', Event::SAW)
            ->where('step', Task::ACCEPT)
            ->where('answer', Observation::Expected->value);
    }

    /** Control and light of such a trial, with a space between. */
    public function pair(): string
    {
        $step = new StepKey((string) $this->task, '');

        return "{$step->device()} {$step->other()}";
    }

    /**
     * The columns of a line.
     *
     * @return array<string, float|string|null>
     */
    public static function columns(Event $event): array
    {
        return [
            'at' => $event->at,
            'kind' => $event->kind,
            'device' => $event->device,
            'text' => mb_substr($event->text, 0, 300),
            'task' => $event->step?->task,
            'step' => $event->step?->kind,
            'answer' => $event->answer(),
        ];
    }

    public function event(): Event
    {
        return new Event(
            at: $this->at,
            kind: $this->kind,
            device: $this->device,
            text: $this->text,
            step: $this->task === null ? null : new StepKey($this->task, (string) $this->step),
            seen: Observation::tryFrom((string) $this->answer),
            wasSo: $this->kind === Event::MENDED ? $this->answer === StepAnswer::YES : null,
        );
    }
}
