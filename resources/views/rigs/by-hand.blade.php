<h3>{{ $way->title() }}</h3>
@if ($way->keys() !== []) <p>At once by {{ implode(', or by ', $way->keys()) }}.</p> @endif
@if ($way->keyWanted() !== '') <p>{{ $way->keyWanted() }}</p> @endif
@if ($way->steps() !== [])
    <ol class="by-hand">@foreach ($way->steps() as $step) <li><strong>{{ $step['unit'] }}</strong> <ol>@foreach ($step['words'] as $words)
        <li>{{ $words }}</li> @endforeach</ol></li> @endforeach</ol>
@endif
@if ($way->says() !== '') <p>{{ $way->says() }}</p> @endif
@if ($way->dangers() !== [])
    <p>In another order:</p>
    <ul class="by-hand-dangers">@foreach ($way->dangers() as $danger) <li>{{ $danger }}</li> @endforeach</ul>
@endif
