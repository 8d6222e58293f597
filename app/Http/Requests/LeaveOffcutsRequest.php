<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** Of which kit a job leaves its offcuts in the van. */
final class LeaveOffcutsRequest extends FormRequest
{
    use NamesKit;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['kit' => $this->kit()];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'kit.exists' => self::unknownKit(),
        ];
    }
}
