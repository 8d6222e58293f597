<?php

declare(strict_types=1);

namespace App\Http\Requests;

use EmberDusk\Kit\Kinds;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** Search on the shelf. */
final class ShelfSearchRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'find' => ['nullable', 'string', 'max:100'],
            'kind' => ['nullable', 'string', Rule::in(['', ...array_keys(Kinds::all())])],
            'page' => ['nullable', 'integer', 'min:1', 'max:1000'],
        ];
    }

    public function find(): string
    {
        return $this->string('find')->toString();
    }

    public function kind(): string
    {
        return $this->string('kind')->toString();
    }

    public function page(): int
    {
        return max(1, $this->integer('page', 1));
    }
}
