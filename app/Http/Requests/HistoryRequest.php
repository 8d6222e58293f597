<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** A page of a job's history: the revisions before a number, the newest where none is named. */
final class HistoryRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['before' => ['nullable', 'integer', 'min:1']];
    }

    public function before(): int
    {
        return $this->integer('before', PHP_INT_MAX);
    }
}
