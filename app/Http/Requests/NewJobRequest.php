<?php

declare(strict_types=1);

namespace App\Http\Requests;

use EmberDusk\Survey\StatedNotes;
use EmberDusk\Values\InvalidInput;
use Illuminate\Foundation\Http\FormRequest;

final class NewJobRequest extends FormRequest
{
    /** Decimal point and comma both work. */
    protected function prepareForValidation(): void
    {
        if (is_string($this->input('length'))) {
            $this->merge(['length' => strtr(trim($this->input('length')), ',', '.')]);
        }
    }

    /**
     * The notes of the first place: empty, or a run of the stated length.
     *
     * @throws InvalidInput
     */
    public function notes(): string
    {
        if ($this->filled('length')) {
            return StatedNotes::from(
                trim($this->string('run')->toString()),
                $this->float('length'),
                $this->boolean('meets'),
                trim($this->string('battery')->toString()),
            );
        }

        return '';
    }

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:80'],
            'client' => ['nullable', 'string', 'max:80'],
            'place' => ['required_without:length', 'nullable', 'string', 'max:60'],
            'run' => ['required_with:length', 'nullable', 'string', 'max:24'],
            'length' => ['nullable', 'numeric', 'min:0.05', 'max:500'],
            'meets' => ['nullable', 'boolean'],
            'battery' => ['nullable', 'string', 'max:60'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.required' => 'Give the job a name.',
            'place.required_without' => 'Name the first room or place.',
            'run.required_with' => 'Name the run: one word, such as cove.',
            'run.max' => 'A run’s name has at most 24 letters.',
            'length.numeric' => 'The length is a number of metres, such as 5.20.',
            'length.min' => 'A run is at least 0.05 m long.',
            'length.max' => 'A run is at most 500 m long.',
            'battery.max' => 'Describe the blocks, such as “3 of 8 V”.',
            'name.max' => 'A job’s name has at most 80 letters.',
            'client.max' => 'A client’s name has at most 80 letters.',
            'place.max' => 'A place’s name has at most 60 letters.',
        ];
    }
}
