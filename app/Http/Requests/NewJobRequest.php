<?php

declare(strict_types=1);

namespace App\Http\Requests;

use EmberDusk\Survey\Site\PixelMatrix;
use EmberDusk\Survey\StatedKind;
use EmberDusk\Survey\StatedNotes;
use EmberDusk\Survey\StatedPower;
use EmberDusk\Values\InvalidInput;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Rules\Enum;

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
            $kind = StatedKind::tryFrom($this->string('kind')->toString()) ?? StatedKind::Shelf;
            $battery = trim($this->string('battery')->toString());

            return (new StatedNotes(
                run: trim($this->string('run')->toString()),
                metres: $this->float('length'),
                kind: $kind,
                // Pages of earlier versions named a battery only.
                power: StatedPower::tryFrom($this->string('power')->toString()) ??
                    ($battery === '' ? StatedPower::Outlet : StatedPower::Battery),
                meets: $this->boolean('meets'),
                battery: $battery,
                matrix: $this->filled(['across', 'down'])
                    ? new PixelMatrix($this->integer('across'), $this->integer('down'))
                    : null,
            ))->text();
        }

        return '';
    }

    /** @return array<string, list<Enum|string>> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:80'],
            'client' => ['nullable', 'string', 'max:80'],
            'place' => ['required_without:length', 'nullable', 'string', 'max:60'],
            'run' => ['required_with:length', 'nullable', 'string', 'max:24'],
            'length' => ['nullable', 'numeric', 'min:0.05', 'max:500'],
            'meets' => ['nullable', 'boolean'],
            'battery' => ['required_if:power,battery,key', 'nullable', 'string', 'max:60'],
            'kind' => ['nullable', Rule::enum(StatedKind::class)],
            'power' => ['nullable', Rule::enum(StatedPower::class)],
            'across' => ['required_if:kind,matrix', 'nullable', 'integer', 'min:1', 'max:' . PixelMatrix::MOST],
            'down' => ['required_if:kind,matrix', 'nullable', 'integer', 'min:1', 'max:' . PixelMatrix::MOST],
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
            'battery.required_if' => 'Describe the blocks, such as “1 of 12 V”.',
            'across.*' => 'The pixels across are a whole number from 1 to ' . PixelMatrix::MOST . '.',
            'down.*' => 'The pixels down are a whole number from 1 to ' . PixelMatrix::MOST . '.',
            'battery.max' => 'Describe the blocks, such as “3 of 8 V”.',
            'name.max' => 'A job’s name has at most 80 letters.',
            'client.max' => 'A client’s name has at most 80 letters.',
            'place.max' => 'A place’s name has at most 60 letters.',
        ];
    }
}
