<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** Request to the lamps or meter of a practice: a colour, a count, a spot. */
final class SimulatedReadingRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'ask' => ['required', Rule::in(['colour', 'count', 'reading'])],
            'run' => ['required', 'string', 'max:40'],
            'number' => ['required_unless:ask,reading', 'integer', 'min:0', 'max:99999'],
            'spot' => ['required_if:ask,reading', 'string', 'max:80'],
            'command' => ['required_if:ask,reading', 'string', 'max:80'],
        ];
    }
}
