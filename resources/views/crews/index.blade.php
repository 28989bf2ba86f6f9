@php use HiddenWire\Core\Quantity\Count; @endphp
<x-page title="Crews" class="shelf">
    <header class="top">
        <x-brand />
        <h1>Crews</h1>
        <nav aria-label="Elsewhere"><a href="{{ route('rigs.index') }}">Rigs</a></nav>
        <div class="top-end"><x-account /></div>
    </header>
    <main class="shelf-main account-page">
        @if (session('said')) <p class="said" role="status">{{ session('said') }}</p> @endif
        <p>A crew owns rigs together. They stay when one of its people goes, and each sees them as far as their role reaches.</p>
        <ul class="members">
            @forelse ($crews as $crew)
                <li><a href="{{ route('crews.show', $crew->id) }}"><strong>{{ $crew->name }}</strong></a>
                    <span class="quiet">{{ Count::of($crew->members_count, 'person', 'people') }},
                        {{ Count::of($crew->rigs_count, 'rig') }}</span></li>
            @empty
                <li class="quiet">You are in no crew yet.</li>
            @endforelse
        </ul>
        @if ($limit->isNear()) <p class="quiet">{{ $limit->warning() }}</p> @endif
        <section class="account-part" aria-labelledby="new-crew">
            <h2 id="new-crew">New crew</h2>
            <form method="post" action="{{ route('crews.store') }}">
                @csrf
                <label>Name <input class="form-control" name="name" maxlength="{{ Bounds::SHORT_NAME }}"
                    required value="{{ old('name') }}"></label>
                @error('name') <p class="trouble" role="alert">{{ $message }}</p> @enderror
                <button class="btn btn-sm btn-ink" type="submit">Begin it</button>
            </form>
        </section>
    </main>
    <x-keys />
</x-page>
