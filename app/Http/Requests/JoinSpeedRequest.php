<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Joining\NewRun;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** How fast the clock of a join run goes. */
final class JoinSpeedRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['speed' => ['required', 'integer', Rule::in(NewRun::SPEEDS)]];
    }
}
