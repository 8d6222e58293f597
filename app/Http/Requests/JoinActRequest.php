<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** Something done or said in a join run. */
final class JoinActRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'kind' => ['required', 'string', 'max:20'],
            'device' => ['required', 'string', 'max:40'],
            'presses' => ['integer', 'min:1', 'max:20'],
            'name' => ['nullable', 'string', 'max:200'],
            'room' => ['nullable', 'string', 'max:200'],
        ];
    }
}
