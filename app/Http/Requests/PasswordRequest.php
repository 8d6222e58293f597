<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\User;
use App\People\UncommonPassword;
use Illuminate\Foundation\Http\FormRequest;

final class PasswordRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $user = $this->user();
        $own = $user instanceof User ? [$user->name, $user->email, $user->crew->name] : [];

        return [
            'current' => ['bail', 'required', 'string', 'max:200', 'current_password'],
            'password' => [
                'required',
                'string',
                'min:' . UncommonPassword::LEAST,
                'max:200',
                new UncommonPassword($own),
            ],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'current.current_password' => 'This is not your password of now.',
            'password.min' => 'A password has at least ' . UncommonPassword::LEAST . ' letters.',
        ];
    }
}
