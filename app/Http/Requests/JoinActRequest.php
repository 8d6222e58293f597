<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** Something done or answered in a join run. */
final class JoinActRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'kind' => ['required', 'string', 'max:20'],
            'device' => ['nullable', 'string', 'max:40'],
            'text' => ['nullable', 'string', 'max:200'],
            'room' => ['nullable', 'string', 'max:200'],
            'client' => ['nullable', 'string', 'max:40'],
        ];
    }

    /** @return array{kind: string, device: string, text: string, room: string, client: string|null} */
    public function given(): array
    {
        return [
            'kind' => $this->string('kind')->toString(),
            'device' => $this->string('device')->toString(),
            'text' => $this->string('text')->toString(),
            'room' => $this->string('room')->toString(),
            'client' => $this->filled('client') ? $this->string('client')->toString() : null,
        ];
    }
}
