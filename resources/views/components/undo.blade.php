@props(['page'])
@foreach (['undo' => 'arrow-counterclockwise', 'redo' => 'arrow-clockwise'] as $way => $sign)
    <form method="post" data-send action="{{ route("rigs.{$way}", $page->record->id) }}">
        @csrf
        <input type="hidden" name="revision" value="{{ $page->record->revision }}">
        <button type="submit" class="plain" data-key-{{ $way }} title="{{ ucfirst($way) }} ({{ $way === 'undo' ? 'u' : 'r' }})"
            aria-label="{{ ucfirst($way) }}"><i class="bi bi-{{ $sign }}" aria-hidden="true"></i></button>
    </form>
@endforeach
