<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** Something that joining needs first is there, or is not. */
final class JoinNeedRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['key' => ['required', 'string', 'max:80'], 'there' => ['required', 'boolean']];
    }
}
