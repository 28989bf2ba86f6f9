<?php

declare(strict_types=1);

namespace App\Words;

use HiddenWire\Core\Equipment\EquipmentModel;

/** Other names that people use for things, kept as data beside them. They are searched, and never shown. */
final class AlsoCalled
{
    /** @var array<string, array<string, list<string>>> by file, by what they are of */
    private static array $read = [];

    /** @return list<string> a model's own, and those of its family */
    public static function model(EquipmentModel $model): array
    {
        return [...self::of('models', $model->id), ...self::of('families', $model->family->value), $model->family->words()];
    }

    /** @return list<string> of a view, by its address; the map's grounds are "grounds" */
    public static function view(string $view): array
    {
        return self::of('views', $view);
    }

    /** @return list<string> of an action, by its name */
    public static function action(string $action): array
    {
        return self::of('actions', $action);
    }

    /** @return list<string> */
    private static function of(string $file, string $of): array
    {
        self::$read[$file] ??= (array) json_decode((string) file_get_contents(resource_path("words/{$file}.json")), true);

        return self::$read[$file][$of] ?? [];
    }
}
