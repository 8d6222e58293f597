<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** One strip off the reel, measured: its length, amps, and volts at both ends. */
final class ReelRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'kit' => ['required', 'string', 'max:80'],
            'length' => ['required', 'numeric'],
            'amps' => ['required', 'numeric'],
            'startVolts' => ['required', 'numeric'],
            'endVolts' => ['required', 'numeric'],
            'keep' => ['required', 'boolean'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            '*.numeric' => 'A number, such as 23.4.',
            '*.required' => 'Length, amps and volts at both ends are needed.',
        ];
    }
}
