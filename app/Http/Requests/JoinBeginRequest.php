<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Joining\NewRun;
use EmberDusk\Formats\Fields;
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
            'fixed' => ['array', 'max:100'],
            'fixed.*' => ['string', 'max:40'],
            'recovery' => ['nullable', 'string', 'max:60'],
        ];
    }

    /** @return list<string> panels that are on their walls already */
    public function fixed(): array
    {
        return (new Fields((array) $this->validated()))->stringsOr('fixed', []);
    }
}
