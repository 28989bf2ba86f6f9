// What was typed or chosen and not sent: in forms that are saved as a whole every field counts, elsewhere only what was typed.
const TYPED = 'input:not([type=hidden]):not([type=checkbox]):not([type=radio]):not([type=file]):not([type=search]), textarea';

const isChanged = (field) => {
    if (field.type === 'checkbox' || field.type === 'radio') return field.checked !== field.defaultChecked;
    if (field.tagName !== 'SELECT') return field.value !== field.defaultValue;
    const options = [...field.options];
    const isDefault = options.some(({ defaultSelected }) => defaultSelected);
    return options.some((one, i) => one.selected !== (isDefault ? one.defaultSelected : !field.multiple && i === 0));
};

export const isUnsaved = (form) => [...form.elements].some((field) => field.type !== 'hidden' && !field.matches('[data-auto]')
    && (form.matches('[data-save]') ? field.matches('input, select, textarea') : field.matches(TYPED)) && isChanged(field));

const forms = () => [...document.querySelectorAll('main form[data-send], .strip form[data-send]')];

export const mark = () => forms().forEach((form) => form.toggleAttribute('data-unsaved', isUnsaved(form)));

export const anyUnsaved = () => forms().some(isUnsaved);
