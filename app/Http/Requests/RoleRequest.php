<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\People\Role;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

final class RoleRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['role' => ['required', 'string', Rule::enum(Role::class)]];
    }

    public function role(): Role
    {
        return Role::from($this->safe()->string('role')->toString());
    }
}
