<?php

declare(strict_types=1);

namespace App\Models;

use EmberDusk\Formats\Json;
use EmberDusk\Plan\JobFile;
use EmberDusk\Plan\Plan;
use EmberDusk\Values\InvalidInput;
use EmberDusk\Values\Refusal;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use RuntimeException;

/**
 * One state of a job's plan and what led to it. Never changed once written.
 *
 * @property int $id
 * @property int $job_id
 * @property int|null $user_id
 * @property int $number
 * @property int|null $parent
 * @property array<string, mixed>|null $change
 * @property string $kind first, change, undo, redo or over
 * @property int|null $restores
 * @property string $words
 * @property list<string> $touched
 * @property string $document
 * @property Carbon $created_at
 * @property-read User|null $user
 */
final class Revision extends Model
{
    protected $table = 'revisions';

    public $timestamps = false;

    private ?Plan $read = null;

    protected $fillable = [
        'user_id',
        'number',
        'parent',
        'change',
        'kind',
        'restores',
        'words',
        'touched',
        'document',
        'created_at',
    ];

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** Read once; a revision never changes. */
    public function plan(): Plan
    {
        return $this->read ??= $this->inflated();
    }

    /** The plan that was just written as this revision. */
    public function holding(Plan $plan): self
    {
        $this->read = $plan;

        return $this;
    }

    private function inflated(): Plan
    {
        $text = gzuncompress($this->document);
        if ($text === false) {
            throw new RuntimeException("Revision {$this->id} cannot be inflated.");
        }

        return JobFile::own($text);
    }

    /** @throws Refusal when the plan is larger than could be read again */
    public static function deflate(Plan $plan): string
    {
        $text = JobFile::write($plan);
        if (strlen($text) > Json::LARGEST) {
            throw new InvalidInput(
                sprintf(
                    'The job has grown to %.1f MB; at most %d MB can be saved. Split it into two jobs.',
                    strlen($text) / 1e6,
                    intdiv(Json::LARGEST, 1_000_000),
                ),
            );
        }

        return (string) gzcompress($text, 6);
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['change' => 'array', 'touched' => 'array', 'created_at' => 'datetime', 'document' => Blob::class];
    }
}
