<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** A helper circuit at the bench: a divider, or a transistor that switches a channel. */
final class HelperRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        $divider = 'required_if:kind,divider';
        $switch = 'required_if:kind,switch';

        return [
            'kind' => ['required', 'in:divider,switch'],
            'most' => [$divider, 'numeric', 'between:0.5,60'],
            'least' => [$divider, 'numeric', 'between:0.5,60'],
            'bears' => [$divider, 'numeric', 'between:0.5,60'],
            'reads' => [$divider, 'numeric', 'between:0.1,60'],
            'tolerance' => [$divider, 'numeric', 'between:0.1,20'],
            'kit' => [$switch, 'string', 'max:80'],
            'volts' => [$switch, 'numeric', 'between:1,60'],
            'amps' => [$switch, 'numeric', 'between:0.001,100'],
            'pin' => [$switch, 'numeric', 'between:0.5,24'],
            'pinMilliamps' => [$switch, 'numeric', 'between:0.1,200'],
            'ambient' => [$switch, 'numeric', 'between:-40,90'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            '*.numeric' => 'A number, such as 3.3.',
            '*.between' => 'A number from :min to :max.',
            '*.required_if' => 'This figure is needed.',
            'kit.required_if' => 'Choose a transistor of the shelf.',
        ];
    }
}
