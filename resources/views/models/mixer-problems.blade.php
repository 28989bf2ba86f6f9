<ul class="trouble" role="alert">@foreach ($form->problems as $option => $problem)
    <li><a href="#{{ $option }}">{{ $problem }}</a></li> @endforeach</ul>
