<a href="{{ route('rigs.bench', $rig) }}">{{ $note }}</a>
