<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** A moment of a lesson that is replayed. */
final class ReplayRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['at' => ['nullable', 'numeric', 'min:0', 'max:1000000']];
    }

    public function at(): ?float
    {
        if ($this->filled('at')) {
            return $this->float('at');
        }

        return null;
    }
}
