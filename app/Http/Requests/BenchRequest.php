<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** The bench of a run, of the job itself or of a practice. */
final class BenchRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'run' => ['nullable', 'string', 'max:40'],
            'practice' => ['nullable', 'integer', 'min:1'],
        ];
    }
}
