<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A fact recorded at hand-over that stays with the job: app or firmware version with its date, place of the backups, a topic shown to the client.
 *
 * @property int $id
 * @property string $kind
 * @property string $about
 * @property string $says
 * @property string $day YYYY-MM-DD
 * @property-read User|null $user
 */
final class LeftFact extends Model
{
    public const VERSION = 'version';

    public const BACKUP = 'backup';

    public const LESSON = 'lesson';

    public const KINDS = [self::VERSION, self::BACKUP, self::LESSON];

    protected $table = 'left_facts';

    public $timestamps = false;

    protected $fillable = ['user_id', 'kind', 'about', 'says', 'day', 'created_at'];

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
