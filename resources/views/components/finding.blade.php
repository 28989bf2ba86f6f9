@props(['page', 'checks', 'finding', 'number'])
<article class="finding finding-{{ $finding->severity->value }}" id="finding-{{ $finding->evidence() }}">
    <i class="bi {{ ['fault' => 'bi-exclamation-octagon-fill', 'risk' => 'bi-exclamation-triangle',
        'note' => 'bi-info-circle'][$finding->severity->value] }}" aria-hidden="true"></i>
    <div>
        <p class="cause-says"><span class="visually-hidden">{{ ucfirst($finding->severity->value) }}:</span>
            {{ $finding->sentence }}@if ($checks->isFresh($finding)) <span class="tag">new</span>@endif</p>
        <p class="finding-why">{{ $finding->why }} @if ($checks->where($finding) !== '')
            <span class="quiet">In {{ $checks->where($finding) }}.</span> @endif</p>
        @foreach ($finding->cures as $which => $cure)
            @php $id = $number.'.'.($which + 1); @endphp
            <div class="cure">
                <span class="cure-says">@if ($which > 0) <span class="quiet">or:</span> @endif{{ $cure->sentence }}</span>
                @foreach ($cure->costs as $cost) <span class="cure-cost">{{ $cost }}</span> @endforeach
                <div class="cure-tools">
                    @if ($page->canEdit) <x-edit :page="$page"
                        :fields="['edit' => 'cure', 'cure' => $id, 'sentence' => $cure->sentence]"><button type="submit"
                        class="do">Apply<span class="visually-hidden">: {{ $cure->sentence }}</span></button></x-edit> @endif
                    <span>Preview: <a href="{{ $page->url(['try' => $id, 'finding' => null],
                        'wishes') }}">table<span class="visually-hidden"> as it would be: {{ $cure->sentence }}</span></a>,
                        <a href="{{ $page->url(['try' => $id, 'finding' => $finding->evidence()],
                        'wiring') }}">map<span class="visually-hidden">, where: {{ $cure->sentence }}</span></a></span>
                </div>
            </div>
        @endforeach
        <div class="finding-tools">
            <a href="{{ $page->url(['finding' => $finding->evidence(), 'situation' => $finding->situations[0] ?? null],
                'wiring') }}">Show on the map<span class="visually-hidden">: {{ $finding->sentence }}</span></a>
            @if ($page->canEdit)
                <details class="accept" data-keep><summary>Accept</summary>
                    <x-edit :page="$page" class="row-form"
                        :fields="['edit' => 'accept', 'evidence' => $finding->evidence(), 'situation' => '']"><input name="why" required
                        maxlength="{{ Bounds::WHY }}" placeholder="why it may stay"
                        aria-label="Why this may stay: {{ $finding->sentence }}"><button type="submit"
                        class="do">Accept<span class="visually-hidden">: {{ $finding->sentence }}</span></button></x-edit>
                </details>
            @endif
        </div>
    </div>
</article>
