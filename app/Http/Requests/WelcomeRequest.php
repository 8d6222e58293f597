<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\PersonLink;
use App\People\PersonLinks;
use App\People\UncommonPassword;
use Illuminate\Foundation\Http\FormRequest;

/** Comes in by a link: a password, and with an invitation a name and an address too. */
final class WelcomeRequest extends FormRequest
{
    private ?PersonLink $link = null;

    public function authorize(): bool
    {
        return $this->link() !== null;
    }

    public function link(): ?PersonLink
    {
        return $this->link ??= PersonLinks::find((int) $this->text('personLink'), $this->text('secret'));
    }

    protected function prepareForValidation(): void
    {
        $email = $this->input('email');
        if (is_string($email)) {
            $this->merge(['email' => mb_strtolower(trim($email))]);
        }
    }

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $user = $this->link()?->user;
        $own = [$this->link()?->crew->name, $user->name ?? $this->input('name'), $user->email ?? $this->input('email')];
        $person =
            $user === null
                ? [
                    'name' => ['required', 'string', 'max:80'],
                    'email' => ['required', 'string', 'email', 'max:200', 'unique:users,email'],
                ]
                : [];

        return $person + [
            'password' => [
                'required',
                'string',
                'min:' . UncommonPassword::LEAST,
                'max:200',
                new UncommonPassword(array_values(array_filter($own, is_string(...)))),
            ],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'email.unique' => 'This address has an account already. Sign in with it, or take another.',
            'password.min' => 'A password has at least ' . UncommonPassword::LEAST . ' letters.',
        ];
    }

    private function text(string $name): string
    {
        $value = $this->route($name);

        return is_string($value) ? $value : '';
    }
}
