<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Time\Clock;
use EmberDusk\Parts\Mark;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

final class PartRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'part' => ['bail', 'required', 'string', 'max:40', 'regex:/^[a-z][a-z0-9-]*$/'],
            'state' => ['present', 'nullable', 'string', Rule::in(array_keys(Mark::STATES))],
            'arrives' => [
                'bail',
                'nullable',
                'string',
                'date_format:Y-m-d',
                'after_or_equal:' . Clock::day(),
                'before:+2 years',
            ],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'part.*' => 'The list has no such part.',
            'arrives.before' => 'A part comes within two years. Write the day such as 2026-12-01.',
            'arrives.after_or_equal' =>
                'That day is over. Mark parts that are here as in hand; give late parts a later day.',
        ];
    }
}
