<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** What a measurement of a trace gave, or that the last one is taken back. */
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
