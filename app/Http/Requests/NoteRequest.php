<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** A note about a piece of kit, for the next job that uses it. */
final class NoteRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['entry' => ['required', 'string', 'max:80'], 'says' => ['required', 'string', 'max:400']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['says.required' => 'Type the note for the next job.'];
    }
}
