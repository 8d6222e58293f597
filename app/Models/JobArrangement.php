<?php

declare(strict_types=1);

namespace App\Models;

use EmberDusk\Formats\Fields;
use EmberDusk\Schedule\Arrangement;
use Illuminate\Database\Eloquent\Model;

/**
 * How a job is gone about.
 *
 * @property int $job_id
 * @property array<string, mixed> $document as EmberDusk\Schedule\Arrangement writes it
 */
final class JobArrangement extends Model
{
    protected $table = 'arrangements';

    protected $fillable = ['document'];

    protected $casts = ['document' => 'array'];

    public function read(): Arrangement
    {
        return Arrangement::read(new Fields($this->document));
    }
}
