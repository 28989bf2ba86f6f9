<ul class="trouble" role="alert">@foreach (array_slice($problems, 0, 12) as $problem) <li>{{ $problem }}</li> @endforeach</ul>
