<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** Which jobs are listed: words in name or client, those in the archive or the others, the page. */
final class JobListRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'find' => ['nullable', 'string', 'max:100'],
            'archived' => ['nullable', 'boolean'],
            'page' => ['nullable', 'integer', 'min:1', 'max:100000'],
        ];
    }

    /** @return list<string> words, all of which are to be found */
    public function words(): array
    {
        return preg_split('/\s+/u', $this->string('find')->toString(), -1, PREG_SPLIT_NO_EMPTY) ?: [];
    }
}
