<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\People\Role;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** Another role for a person. A guest comes in by an invitation to a job, and is made none afterwards. */
final class RoleRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['role' => ['required', 'string', Rule::enum(Role::class)->except(Role::Guest)]];
    }

    public function role(): Role
    {
        return Role::from($this->safe()->string('role')->toString());
    }
}
