<?php

declare(strict_types=1);

namespace App\Models;

use EmberDusk\Survey\Trace\Probe;
use EmberDusk\Survey\Trace\TracedLeg;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * A trace of the cable legs from one point: the legs and all answers so far. Facts; never undone.
 *
 * @property int $id
 * @property int $job_id
 * @property string $place
 * @property string $near
 * @property list<array{string, string|null, int}> $legs
 * @property list<array{int, int, array{int, int}, bool}> $answers
 * @property Carbon|null $recorded_at
 */
final class Trace extends Model
{
    protected $table = 'traces';

    protected $fillable = ['user_id', 'place', 'near', 'legs', 'answers', 'recorded_at'];

    /** @return list<TracedLeg> */
    public function traced(): array
    {
        return array_map(static fn(array $l): TracedLeg => new TracedLeg($l[0], $l[1], $l[2]), $this->legs);
    }

    /** @return list<array{Probe, bool}> */
    public function heard(): array
    {
        return array_map(static fn(array $a): array => [new Probe($a[0], $a[1], $a[2]), $a[3]], $this->answers);
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['legs' => 'array', 'answers' => 'array', 'recorded_at' => 'datetime'];
    }
}
