<?php

declare(strict_types=1);

namespace App\Http\Requests;

use EmberDusk\Bench\Practice\HiddenFault;
use Illuminate\Foundation\Http\FormRequest;

/** Bench practice: a seed, or faults entered by one person for another. */
final class PracticeRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'seed' => ['required', 'integer', 'min:1', 'max:999999'],
            'faults' => ['array', 'max:12'],
            'faults.*' => ['string', 'max:80'],
        ];
    }

    /**
     * @return list<string>
     *
     * @throws \EmberDusk\Values\InvalidInput when one is no fault
     */
    public function faults(): array
    {
        return array_map(
            static fn(mixed $f): string => HiddenFault::read(is_string($f) ? $f : '')->name,
            array_values((array) $this->input('faults', [])),
        );
    }
}
