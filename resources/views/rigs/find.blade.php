<x-rig-frame :page="$page">
    <div class="page">
        <h2>Find</h2>
        <form class="row-form" method="get" action="{{ route('rigs.find', $page->record->id) }}"
            role="search"><label>Unit, socket, cable, device, sound, view or action
            <input type="search" name="q" value="{{ $finder->text }}"></label><button class="do" type="submit">Find</button></form>
        <ul class="found">
            @forelse ($finder->found as $one) <li><a href="{{ $one['url'] }}"><strong>{{ $one['what'] }}</strong>
                <small>{{ $one['kind'] }}</small></a></li> @empty <li class="quiet">Nothing here is called that.</li> @endforelse
            @foreach ($finder->elsewhere as $one) <li><a href="{{ $one['url'] }}"><strong>{{ $one['what'] }}</strong></a></li> @endforeach
        </ul>
    </div>
</x-rig-frame>
