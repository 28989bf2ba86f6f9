@if ($twice !== [])
    <div class="twice" role="group" aria-label="In two rigs on the same days">
        <p><strong>In another rig on the same days:</strong></p>
        <ul>@foreach ($twice as $one) <li>{{ $one['number'] }}, <a href="{{ route('rigs.stock', [$rig->id, 'select' =>
            "unit:{$one['key']}"]) }}">{{ $one['name'] }}</a>: also in <a href="{{ route('rigs.stock', [$one['rig'], 'select' =>
            "unit:{$one['otherKey']}"]) }}">{{ $one['rigName'] }}</a>, {{ $one['days']->words() }}</li> @endforeach</ul>
    </div>
@endif
