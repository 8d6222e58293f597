<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Facts\LogBook;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** Search in a job's log. */
final class LogSearchRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'q' => ['nullable', 'string', 'max:100'],
            'kind' => ['nullable', 'string', Rule::in(array_keys(LogBook::KINDS))],
            'part' => ['nullable', 'string', 'max:80'],
            'page' => ['nullable', 'integer', 'min:1', 'max:1000'],
        ];
    }
}
