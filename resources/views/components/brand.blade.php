<a class="brand" aria-label="Hidden Wire" href="{{ route('rigs.index') }}">
    <svg viewBox="0 0 34 22" width="34" height="22" aria-hidden="true"><path class="brand-pen"
        d="M2 15 H11 Q15 15 15 11 V10 Q15 6 19 6 H32"/><path class="brand-wire" d="M2 15 H11 Q15 15 15 11 V10 Q15 6 19 6 H32"/></svg>
    <span>Hidden Wire</span>
</a>
