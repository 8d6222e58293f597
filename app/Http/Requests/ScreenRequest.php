<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Screens\KnownRows;
use App\Screens\Stages;
use EmberDusk\Values\JobStage;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** The screen that is open on the page that asks: its stage, the scene that is looked at, the runs that are shown large. */
class ScreenRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'stage' => ['required', 'string', Rule::in(Stages::keys())],
            'scene' => ['nullable', 'string', 'max:40'],
            'open' => ['nullable', 'string', 'max:4000'],
            'known' => ['nullable', 'string', 'max:20000'],
        ];
    }

    public function stage(): JobStage
    {
        return JobStage::from($this->string('stage')->toString());
    }

    /** The scene that is looked at; null at everything full. */
    public function scene(): ?string
    {
        if ($this->filled('scene')) {
            return $this->string('scene')->toString();
        }

        return null;
    }

    /** @return array<string, string> hashes of the rows that the page has, by their ids */
    public function known(): array
    {
        return KnownRows::read($this->string('known')->toString());
    }

    /** @return list<string> ids of the runs that are shown large */
    public function open(): array
    {
        if ($this->filled('open')) {
            return explode(' ', $this->string('open')->toString());
        }

        return [];
    }
}
