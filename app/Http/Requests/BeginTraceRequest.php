<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** Which legs are traced: those of a place that begin at one point. */
final class BeginTraceRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['place' => ['required', 'string', 'max:40'], 'near' => ['required', 'string', 'max:40']];
    }
}
