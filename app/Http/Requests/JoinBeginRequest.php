<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Joining\NewRun;
use EmberDusk\Joining\TimingMethod;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** How a join run begins: a rehearsal at some pace, or on site with a device in the hand. */
final class JoinBeginRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'speed' => ['required', 'integer', Rule::in(NewRun::SPEEDS)],
            'site' => ['boolean'],
            'hand' => ['nullable', 'string', 'max:80'],
            'timing' => ['nullable', 'string', Rule::in(TimingMethod::TIMINGS)],
            'trustsNew' => ['boolean'],
            'hidden' => ['integer', 'min:0', 'max:2'],
        ];
    }
}
