<ul class="trouble" role="alert">@foreach (array_slice($problems, 0, 12) as $problem) <li>@if ($problem->pointer !== '')
    <code>{{ $problem->pointer }}</code> @endif {{ $problem->message }}</li> @endforeach</ul>
