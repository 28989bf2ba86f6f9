@props(['id' => 'model'])
{{-- A model, chosen by typing what it is called, what it is for, or a socket. Without scripts what was typed is looked for when
    it is sent. --}}
<div class="model-field" x-data="modelField" data-key="{{ $id }}" data-search="{{ route('catalogue.search') }}"
    data-drawing="{{ route('catalogue.drawing', ['model' => 'MODEL']) }}">
    <label>Model <input class="form-control" name="model_name" required maxlength="{{ Bounds::NAME }}"
        placeholder="name, family, use or socket" autocomplete="off" role="combobox" aria-expanded="false" aria-autocomplete="list"
        aria-controls="{{ $id }}-found" x-ref="text" x-on:input="typed" x-on:keydown="key" x-on:blur="close"></label>
    <input type="hidden" name="model" value="" data-own x-ref="id">
    <ul id="{{ $id }}-found" class="model-found" role="listbox" aria-label="Found" data-own x-ref="list" x-show="isOpen"
        x-on:mousedown="pick">
        <template x-for="(one, i) in found"><li role="option" x-bind:id="one.id"><strong x-text="one.name"></strong>
            <small x-text="one.family"></small> <span x-text="one.summary"></span></li></template>
        <li class="quiet" x-text="says" x-show="says"></li>
    </ul>
    <div class="model-beside" data-own x-ref="drawing"></div>
</div>
