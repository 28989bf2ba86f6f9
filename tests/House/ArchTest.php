<?php

declare(strict_types=1);

arch('the core knows no framework')
    ->expect('HiddenWire\Core')
    ->not->toUse(['Illuminate', 'Laravel', 'Symfony', 'App', 'Carbon', 'config', 'app', 'env', 'request', 'now', 'base_path',
        'resource_path']);

arch('the core does no input or output and reads no clock')
    ->expect('HiddenWire\Core')
    ->not->toUse(['file_get_contents', 'file_put_contents', 'fopen', 'echo', 'print', 'time', 'microtime', 'hrtime', 'date', 'rand',
        'mt_rand', 'random_int', 'DateTime', 'DateTimeImmutable', 'getenv']);

// The core has one direction: each room uses only those before it.
$rooms = ['Quantity', 'Equipment', 'Rig', 'Document', 'Kinds', 'Devices', 'Situations', 'Signal', 'Edit', 'Planning', 'Levels', 'Recording',
    'Timing', 'Grounds', 'Dependence', 'Controls', 'Checks', 'Bench', 'Audio', 'Tones', 'Room', 'Finder', 'Progress', 'History', 'Sheets', 'Book', 'Export', 'Import'];
foreach ($rooms as $number => $room) {
    // Documents and devices are side by side.
    $later = array_map(fn (string $other) => "HiddenWire\\Core\\{$other}", array_slice($rooms, $number + 1));
    if ($later !== []) {
        arch("core/{$room} uses no room behind it")->expect("HiddenWire\\Core\\{$room}")->not->toUse($later);
    }
}

arch('strict types everywhere')->expect(['App', 'HiddenWire\Core', 'Database\Seeders'])->toUseStrictTypes();

arch('the core is final')->expect('HiddenWire\Core')->classes()->toBeFinal();

arch('views compute nothing: view models do not touch requests but for the page\'s address')
    ->expect('App\ViewModels')->not->toUse(['Illuminate\Support\Facades\DB', 'Illuminate\Support\Facades\Auth']);

it('computes nothing in views: nothing is made, asked of the database, or measured there', function () {
    $found = [];
    foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator(
        dirname(__DIR__, 2).'/resources/views',
        FilesystemIterator::SKIP_DOTS,
    )) as $file) {
        foreach ((array) file($file->getPathname()) as $number => $line) {
            if (preg_match('/\bnew [A-Z\\\\]|::query\(|\bDB::|->(get|first|paginate|exists)\(\)|TextWidth::|\busort\(/', (string) $line) === 1) {
                $found[] = "{$file->getFilename()}:".($number + 1).': '.trim((string) $line);
            }
        }
    }
    expect($found)->toBe([]);
});

arch('no dumping')->expect(['dd', 'dump', 'var_dump', 'ray'])->not->toBeUsed();

it('has no line past 140 characters', function () {
    $long = [];
    foreach (['core', 'app', 'config', 'database', 'routes', 'resources/views', 'resources/book'] as $room) {
        $files = new RecursiveIteratorIterator(new RecursiveDirectoryIterator(
            dirname(__DIR__, 2)."/{$room}",
            FilesystemIterator::SKIP_DOTS,
        ));
        foreach ($files as $file) {
            foreach ($file->getExtension() === 'php' ? (array) file($file->getPathname()) : [] as $number => $line) {
                if (mb_strlen(rtrim((string) $line)) > 140) {
                    $long[] = "{$file->getPathname()}:".($number + 1);
                }
            }
        }
    }
    expect($long)->toBe([]);
});

it('says of every method that throws what and when', function () {
    $silent = [];
    foreach (['core', 'app'] as $room) {
        foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator(
            dirname(__DIR__, 2)."/{$room}",
            FilesystemIterator::SKIP_DOTS,
        )) as $file) {
            $tokens = PhpToken::tokenize((string) file_get_contents($file->getPathname()));
            [$comment, $method, $depth, $tries] = ['', null, 0, []];
            foreach ($tokens as $i => $token) {
                $next = $tokens[$i + 2] ?? null;
                if ($token->is(T_DOC_COMMENT)) {
                    $comment = $token->text;
                } elseif ($token->is(T_FUNCTION) && $next?->is(T_STRING) === true) {
                    [$method, $comment] = [[$next->text, $comment, $depth], ''];
                } elseif (in_array($token->text, ['{', '${'], true) || $token->is(T_CURLY_OPEN)) {
                    $depth++;
                } elseif ($token->text === '}') {
                    $depth--;
                    $tries = array_values(array_filter($tries, fn (int $at) => $at < $depth));
                    $method = $method !== null && $depth <= $method[2] ? null : $method;
                } elseif ($token->is(T_TRY)) {
                    $tries[] = $depth;
                } elseif ($token->is(T_THROW) && $method !== null && $tries === [] && ! str_contains($method[1], '@throws')
                    && ! str_contains($tokens[$i + 4]->text ?? '', 'LogicException')) {
                    $silent[] = "{$file->getFilename()}:{$token->line} {$method[0]}";
                }
            }
        }
    }
    expect($silent)->toBe([]);
});

it('lets no clock decide a test of the core: work is counted', function () {
    $found = array_filter(
        [...(array) glob(dirname(__DIR__).'/Core/*.php'), ...(array) glob(dirname(__DIR__).'/Support/*.php')],
        fn (mixed $file) => preg_match('/\b(hr|micro)time\(/', (string) file_get_contents((string) $file)) === 1,
    );
    expect($found)->toBe([]);
});

it('says real plurals to people', function () {
    $found = [];
    foreach (['core', 'app', 'resources/views', 'resources/js', 'resources/catalogue', 'resources/starters', 'resources/rigs'] as $room) {
        $files = new RecursiveIteratorIterator(new RecursiveDirectoryIterator(
            dirname(__DIR__, 2)."/{$room}",
            FilesystemIterator::SKIP_DOTS,
        ));
        foreach ($files as $file) {
            if (preg_match('/\w\(s\)/', (string) file_get_contents($file->getPathname())) === 1) {
                $found[] = $file->getPathname();
            }
        }
    }
    expect($found)->toBe([]);
});

it('adds up amplitudes in one place: all who say how loud a sound is ask the field', function () {
    $found = [];
    foreach (['core', 'app'] as $room) {
        foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator(
            dirname(__DIR__, 2)."/{$room}",
            FilesystemIterator::SKIP_DOTS,
        )) as $file) {
            if (preg_match(
                '/\b(new Spread\b|new Propagation\b|Slot::of\(|->taps\b|[aA]mplitude\w* ?\*\* ?2|array_sum\(.*amplitude)/',
                (string) file_get_contents($file->getPathname()),
            ) === 1) {
                $found[] = substr($file->getPathname(), strlen(dirname(__DIR__, 2)) + 1);
            }
        }
    }
    sort($found);
    // Effort counts taps, Slot and Sum judge what the field has added.
    expect($found)->toBe(['core/Signal/Effort.php', 'core/Signal/Propagation.php', 'core/Signal/Slot.php', 'core/Signal/SoundField.php',
        'core/Signal/Sum.php']);
});
