// What is said where no drawing of the page has it.
export const say = (text) => {
    const message = document.createElement('p');
    message.className = 'message';
    message.textContent = text;
    document.querySelector('[data-messages]').replaceChildren(message);
};
