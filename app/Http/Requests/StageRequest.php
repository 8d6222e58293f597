<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** The page of a stage: the run that a link asks for is shown large. */
final class StageRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['run' => ['nullable', 'string', 'max:40']];
    }

    /** @return list<string> */
    public function open(): array
    {
        if ($this->filled('run')) {
            return [$this->string('run')->toString()];
        }

        return [];
    }
}
