<?php

declare(strict_types=1);

namespace App\Models;

use EmberDusk\Joining\Event;
use Illuminate\Database\Eloquent\Model;
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
 * @property string|null $client the name that the device gave it, so that one sent twice is one
 */
final class JoinEvent extends Model
{
    protected $table = 'join_events';

    public $timestamps = false;

    protected $fillable = ['number', 'at', 'kind', 'device', 'text', 'client', 'user_id', 'created_at'];

    protected $casts = ['at' => 'float', 'created_at' => 'datetime'];

    public function event(): Event
    {
        return new Event($this->at, $this->kind, $this->device, $this->text);
    }
}
