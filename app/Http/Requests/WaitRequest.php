<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** A step that waits for another, or no longer. */
final class WaitRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'step' => ['bail', 'required', 'string', 'max:60', 'regex:/^[a-z][a-z0-9-]*$/'],
            'after' => ['bail', 'required', 'string', 'max:60', 'regex:/^[a-z][a-z0-9-]*$/', 'different:step'],
            'on' => ['required', 'boolean'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'step.*' => 'The job has no such step. Reload the page.',
            'after.different' => 'A step cannot wait for itself.',
        ];
    }
}
