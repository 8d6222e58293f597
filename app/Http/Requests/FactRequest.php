<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\LeftFact;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** Something that is written down at hand-over. */
final class FactRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'kind' => ['required', Rule::in(LeftFact::KINDS)],
            'about' => ['required', 'string', 'max:80'],
            'says' => ['required_unless:kind,' . LeftFact::LESSON, 'nullable', 'string', 'max:200'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'about.required' => 'Enter the subject, such as the app of the hub.',
            'says.required_unless' => 'Enter the version, or where the copy is stored.',
        ];
    }
}
