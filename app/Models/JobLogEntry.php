<?php

declare(strict_types=1);

namespace App\Models;

use EmberDusk\Bench\Log\LogEntry;
use Illuminate\Database\Eloquent\Model;

/**
 * A line of a job's log that was read, seen, fixed or remarked. A fact: never changed, never undone.
 *
 * @property int $id
 * @property int $job_id
 * @property int|null $practice_id
 * @property string $uuid given by the phone, so that one that is sent twice is one
 * @property string $who
 * @property string $kind
 * @property string $place
 * @property string $command
 * @property float|null $value
 * @property string $text
 * @property string $words as the plan called things when it was written
 * @property string $by
 * @property bool $sure
 * @property string $at YYYY-MM-DDTHH:MM:SS.sssZ
 */
final class JobLogEntry extends Model
{
    protected $table = 'log_entries';

    public $timestamps = false;

    protected $fillable = [
        'uuid',
        'practice_id',
        'user_id',
        'who',
        'kind',
        'place',
        'command',
        'value',
        'text',
        'words',
        'by',
        'sure',
        'at',
    ];

    protected $casts = ['value' => 'float', 'sure' => 'boolean'];

    public function fact(): LogEntry
    {
        return new LogEntry(
            uuid: $this->uuid,
            kind: $this->kind,
            place: $this->place,
            command: $this->command,
            value: $this->value,
            text: $this->text,
            by: $this->by,
            sure: $this->sure,
            at: $this->at,
            who: $this->who,
        );
    }
}
