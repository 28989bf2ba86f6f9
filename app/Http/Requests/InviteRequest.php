<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\MemberRole;
use HiddenWire\Core\Quantity\Bounds;
use Illuminate\Auth\Access\Response;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rule;

/** An invitation to a rig or a crew: `email`, and as what (`role`). Only whoever manages it may invite. */
final class InviteRequest extends FormRequest
{
    public function authorize(): Response
    {
        return Gate::inspect('manage', $this->route('rig') ?? $this->route('crew'));
    }

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'email' => ['required', 'string', 'email', 'max:'.Bounds::EMAIL],
            'role' => ['required', Rule::enum(MemberRole::class)],
        ];
    }

    /** As addresses are kept. */
    public function email(): string
    {
        return mb_strtolower($this->string('email')->toString());
    }

    public function role(): MemberRole
    {
        return MemberRole::from($this->string('role')->toString());
    }
}
