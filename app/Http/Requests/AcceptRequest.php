<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** An open point that is accepted, with the reason. */
final class AcceptRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'uuid' => ['required', 'uuid'],
            'key' => ['required', 'string', 'max:80', 'regex:/^[a-z0-9.-]+$/'],
            'reason' => ['required', 'string', 'max:300'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['reason.*' => 'Give the reason in at most 300 letters, such as: the client sees it from below only.'];
    }
}
