<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** Result of a trace measurement, or undo of the last one. */
final class AnswerTraceRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'asked' => ['required_without:back', 'integer', 'min:0'],
            'tone' => ['required_without:back', 'boolean'],
            'back' => ['boolean'],
        ];
    }
}
