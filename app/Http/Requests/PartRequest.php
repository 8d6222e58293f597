<?php

declare(strict_types=1);

namespace App\Http\Requests;

use EmberDusk\Parts\Mark;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

final class PartRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'part' => ['required', 'string', 'max:40'],
            'state' => ['present', 'nullable', 'string', Rule::in(array_keys(Mark::STATES))],
            'arrives' => ['nullable', 'date_format:Y-m-d', 'after_or_equal:today'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['arrives.after_or_equal' => 'That day is over. What is here is marked as in hand; what is late gets a day to come.'];
    }
}
