<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** A look at a run, and how many lines of its log the page has already. */
final class JoinLookRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['lines' => ['integer', 'min:0', 'max:1000000']];
    }
}
