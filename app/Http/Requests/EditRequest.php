<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Http\Edits\EditFields;
use App\Http\Edits\EditForms;
use App\Models\Rig as Record;
use App\Models\User;
use App\ViewModels\RigPage;
use HiddenWire\Core\Edit\RigEdit;
use HiddenWire\Core\Rig\Rig;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/**
 * A change that a page asks for. `edit` says which, by the words of {@see EditForms}; `situation` is where it holds; `revision` and `at`
 * say what the page was made from.
 */
final class EditRequest extends FormRequest
{
    /** What a form of a page sends in one field ({@see RigPage::change()}), beside what is typed and chosen in it. */
    protected function prepareForValidation(): void
    {
        $change = $this->input('_change');
        if (is_string($change)) {
            parse_str($change, $fields);
            $this->replace([...$fields, ...$this->except('_change')]);
        }
    }

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'edit' => ['required', Rule::in(EditForms::words())],
            'revision' => ['required', 'integer', 'min:1'],
            'at_revision' => ['nullable', 'integer', 'min:1'],
        ];
    }

    /**
     * The edits in the core's terms.
     *
     * @return list<RigEdit>
     */
    public function edits(Rig $rig, User $by): array
    {
        return EditForms::edits(
            $this->string('edit')->toString(),
            new EditFields($this->all(), $rig, $by, $this->route('rig') instanceof Record ? $this->route('rig') : null),
        );
    }
}
