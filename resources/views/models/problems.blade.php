<ul class="trouble" role="alert">@foreach (array_slice($problems, 0, 12) as $problem)
    <li data-in="{{ $problem->sheet }}" data-row="{{ $problem->row }}" data-column="{{ $problem->column }}">{{ $problem->text }}</li>
    @endforeach</ul>
