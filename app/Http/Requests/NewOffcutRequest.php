<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** Offcuts that are in the van already. */
final class NewOffcutRequest extends FormRequest
{
    use NamesKit;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'kit' => $this->kit(),
            'metres' => ['required', 'numeric', 'min:0.02', 'max:100'],
            'count' => ['required', 'integer', 'min:1', 'max:50'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'kit.exists' => self::unknownKit(),
            'metres.*' => 'An offcut has a length from 0.02 to 100 m, such as 1.35.',
            'count.*' => 'Enter the number, 1 to 50.',
        ];
    }
}
