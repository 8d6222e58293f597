<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Screens\Stages;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** What the editing of a job asks for: the stage that is open, and for a change the revision it was made on and itself (read by the core). */
final class EditRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'base' => [$this->routeIs('jobs.change') ? 'required' : 'nullable', 'integer', 'min:1'],
            'stage' => ['required', 'string', Rule::in(Stages::keys())],
            'scene' => ['nullable', 'string', 'max:40'],
            'open' => ['nullable', 'string', 'max:4000'],
            'over' => ['nullable', 'integer', 'min:1'],
            'change' => [$this->routeIs('jobs.change', 'jobs.preview') ? 'required' : 'nullable', 'array', 'max:10'],
        ];
    }

    public function stage(): string
    {
        return $this->string('stage')->toString();
    }

    /** The scene that is looked at; null at everything full. */
    public function scene(): ?string
    {
        return $this->filled('scene') ? $this->string('scene')->toString() : null;
    }

    /** @return list<string> ids of the runs that are shown large */
    public function open(): array
    {
        return $this->filled('open') ? explode(' ', $this->string('open')->toString()) : [];
    }

    /** @return array<array-key, mixed> */
    public function change(): array
    {
        return $this->array('change');
    }
}
