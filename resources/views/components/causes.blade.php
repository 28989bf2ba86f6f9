@props(['page'])
@if ($page->causes === null)
    <p class="lead-line causes-wait" x-data="causes" data-key="causes-{{ $page->record->revision }}"
        data-causes="{{ route('rigs.causes', $page->record) }}" role="status">Looking for the causes …</p>
    <noscript><p><a href="{{ $page->url(['causes' => '1']) }}">Find the causes</a></p></noscript>
@elseif ($page->causes->causes !== [])
    <h2>{{ $page->causesTitle() }}</h2>
    <div class="lead-line"><span>In all situations.</span>
        @if ($page->canEdit && $page->causes->hasSeveralCures())
            <x-edit :page="$page" class="all-cures" :fields="['edit' => 'cures']"><button type="submit"
                class="do">Apply all {{ count(array_filter($page->openCauses(), fn ($one) => $one->cures !== [])) }}</button></x-edit>
        @endif
    </div>
    <ol class="causes">
        @foreach ($page->openCauses() as $i => $cause)
            <li value="{{ $i + 1 }}"><x-cause :page="$page" :cause="$cause" :number="$i + 1" /></li>
        @endforeach
    </ol>
    <x-accepted :page="$page" :items="$page->acceptedCauses()" />
    @if ($page->causes->untried > 0) <p class="quiet">{{ $page->causes->untried }} further changes were not tried.</p> @endif
@endif
