@props(['noted'])
{{-- Fields of a thing that are noted as the document has them: App\ViewModels\Noted. --}}
@foreach (array_chunk($noted, 2) as $pair)
    <div class="two">
        @foreach ($pair as $one)
            <label>{{ $one->label }}
                @if ($one->choices !== [])
                    <select class="form-select" name="{{ $one->key }}">@if ($one->isOptional) <option value=""></option> @endif
                        @foreach ($one->choices as $value => $says) <option value="{{ $value }}"
                        @selected($one->value === (string) $value)>{{ $says }}</option> @endforeach</select>
                @elseif ($one->isSwitch)
                    <input type="hidden" name="{{ $one->key }}" value="0"><input type="checkbox" name="{{ $one->key }}" value="1"
                        @checked($one->value === '1')>
                @else
                    <input class="form-control" name="{{ $one->key }}" value="{{ $one->value }}" @if ($one->most !== null)
                        maxlength="{{ $one->most }}" @endif @if ($one->isNumber) inputmode="decimal" @endif>
                @endif
            </label>
        @endforeach
    </div>
@endforeach
