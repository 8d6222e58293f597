<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

final class NewJobRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:80'],
            'client' => ['nullable', 'string', 'max:80'],
            'place' => ['required', 'string', 'max:60'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.required' => 'Give the job a name.',
            'place.required' => 'Name the first room or place.',
            'name.max' => 'A job’s name has at most 80 letters.',
            'client.max' => 'A client’s name has at most 80 letters.',
            'place.max' => 'A place’s name has at most 60 letters.',
        ];
    }
}
