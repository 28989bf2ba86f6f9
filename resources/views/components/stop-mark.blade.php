@props(['at'])
{{-- How far the rig is at a stop: a number, a tick, or an empty socket. --}}
<span @class(['stop-socket', 'is-open' => $at->isBegun && $at->open > 0, 'is-done' => $at->isDone(), 'is-none' => ! $at->isBegun])
    aria-hidden="true">@if ($at->isDone()) <i class="bi bi-check-lg"></i> @elseif ($at->isBegun && $at->open > 0) {{ $at->open }}
    @endif</span><span class="visually-hidden">: {{ $at->words() }}</span>
