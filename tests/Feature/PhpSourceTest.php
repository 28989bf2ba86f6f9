<?php

declare(strict_types=1);

use App\Rigs\CatalogueFiles;
use App\Rigs\CoreBuild;
use App\Rigs\PhpSource;
use HiddenWire\Core\Document\Catalogue;
use HiddenWire\Core\Document\DocumentReader;
use HiddenWire\Core\Equipment\Direction;
use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Rig\Days;

it('makes values again as they were', function (mixed $value) {
    $again = eval(PhpSource::of($value));
    expect($again)->toEqual($value)->and(get_debug_type($again))->toBe(get_debug_type($value));
})->with([
    'nothing' => [null], 'a number' => [0.1 + 0.2], 'a whole one' => [-7], 'a text' => ["it's \\ \$x \n"], 'a list' => [[1, 'a', [true]]],
    'a map' => [['a' => 1, 7 => null]], 'an enumeration' => [fn () => Direction::cases()[0]], 'an object' => [fn () => new Days('2026-12-05', '2026-12-06')],
    'one that only its own class makes' => [fn () => [Decibels::of(-3.01), Decibels::of(6)]],
]);

it('refuses what holds more than its constructor takes', function (Closure $value) {
    PhpSource::of([$value()]);
})->with([fn () => new SplObjectStorage, fn () => (new DocumentReader)->read(shipped('rigs/penny-slot.json'))])
    ->throws(LogicException::class, 'holds more than its constructor takes');

it('writes the catalogue, which is taken up while core and models are the same', function () {
    $folder = storage_path('framework/testing/catalogue-'.getmypid());
    mkdir($folder, recursive: true);
    putenv("APP_CONFIG_CACHE={$folder}/config.php");
    $_ENV['APP_CONFIG_CACHE'] = $_SERVER['APP_CONFIG_CACHE'] = "{$folder}/config.php";
    $forget = fn () => (new ReflectionProperty(CatalogueFiles::class, 'catalogue'))->setValue(null, null);
    $texts = array_map(file_get_contents(...), glob(resource_path('catalogue/*.json')) ?: []);
    $read = Catalogue::of(array_combine(array_map(fn (string $file) => basename($file, '.json'), glob(resource_path('catalogue/*.json')) ?: []), $texts));
    try {
        $this->artisan('catalogue:cache')->assertSuccessful();
        $written = include "{$folder}/catalogue.php";
        expect($written['stamp'])->toBe(CoreBuild::stamp().CoreBuild::dataStamp())->and(count($written['make']()))->toBeGreaterThan(100)
            ->and($written['make']())->toEqual($read->models);
        // What is listed there is what is taken: here one model alone.
        $key = array_key_first($read->models);
        $one = "<?php return ['stamp' => '{$written['stamp']}', 'make' => function () {".PhpSource::of([$key => $read->models[$key]]).'}];';
        file_put_contents("{$folder}/catalogue.php", $one);
        $forget();
        expect(array_keys(CatalogueFiles::catalogue()->models))->toBe([$key]);
        // Of another build it is passed over.
        file_put_contents("{$folder}/catalogue.php", str_replace($written['stamp'], 'another', $one));
        $forget();
        expect(CatalogueFiles::catalogue()->models)->toEqual($read->models);
    } finally {
        putenv('APP_CONFIG_CACHE');
        unset($_ENV['APP_CONFIG_CACHE'], $_SERVER['APP_CONFIG_CACHE']);
        $forget();
        array_map(unlink(...), glob("{$folder}/*") ?: []);
        rmdir($folder);
    }
});
