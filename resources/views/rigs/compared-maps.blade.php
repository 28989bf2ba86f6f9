@if ($trouble !== '')
    <p class="quiet">{{ $trouble }}</p>
@else
    <div class="two-maps">
        @foreach ($maps as $title => $svg) <figure tabindex="0"
            aria-label="Map of {{ lcfirst($title) }}"><figcaption>{{ $title }}</figcaption>{!! $svg !!}</figure> @endforeach
    </div>
@endif
