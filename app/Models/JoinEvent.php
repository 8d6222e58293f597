<?php

declare(strict_types=1);

namespace App\Models;

use EmberDusk\Joining\Event;
use EmberDusk\Joining\Observation;
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
 * @property Carbon $created_at
 * @property-read User|null $user
 * @property string|null $client the name that the device gave it, so that one sent twice is one
 */
final class JoinEvent extends Model
{
    /** How the text of a trial ends that was answered. */
    private const ANSWERED = '/' . Task::ACCEPT . '|' . Observation::YES;

    protected $table = 'join_events';

    public $timestamps = false;

    protected $fillable = ['number', 'at', 'kind', 'device', 'text', 'client', 'user_id', 'created_at'];

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
            ->where('text', 'like', Task::ACCEPT . ' %' . self::ANSWERED);
    }

    /** Control and light of such a trial, with a space between. */
    public function pair(): string
    {
        return substr($this->text, strlen(Task::ACCEPT) + 1, -strlen(self::ANSWERED));
    }

    public function event(): Event
    {
        return new Event($this->at, $this->kind, $this->device, $this->text);
    }
}
