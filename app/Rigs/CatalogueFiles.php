<?php

declare(strict_types=1);

namespace App\Rigs;

use App\Models\User;
use HiddenWire\Core\Document\Catalogue;
use HiddenWire\Core\Equipment\EquipmentModel;

/** The catalogue's files, read once a process or taken up as PHP that was written of them, and what people made beside it. */
final class CatalogueFiles
{
    private const SECONDS = 30 * 86400;

    private static ?Catalogue $catalogue = null;

    /** Read from its files, or as it was kept ready from the same files before. */
    public static function catalogue(): Catalogue
    {
        return self::$catalogue ??= self::kept();
    }

    /**
     * Writes it as PHP, which opcache keeps compiled; taken up until core or models change.
     *
     * @return string the file
     *
     * @throws \RuntimeException when it can't be written
     */
    public static function write(): string
    {
        $path = self::path();
        $models = self::read()->models;
        $text = "<?php\n\nreturn ['stamp' => ".var_export(self::stamp(), true);
        foreach (['make' => $models, 'programs' => self::programsOf($models)] as $key => $made) {
            $text .= ", '{$key}' => static function (): array {\n".PhpSource::of($made).'}';
        }
        $text .= "];\n";
        if (@file_put_contents("{$path}.new", $text) === false || ! rename("{$path}.new", $path)) {
            throw new \RuntimeException("{$path} can't be written.");
        }

        return $path;
    }

    /** Beside the settings that are kept ready. */
    private static function path(): string
    {
        return dirname(app()->getCachedConfigPath()).'/catalogue.php';
    }

    private static function stamp(): string
    {
        return CoreBuild::stamp().CoreBuild::dataStamp();
    }

    /**
     * What was written as PHP; null where that is out of date.
     *
     * @return array{make: \Closure(): array<string, EquipmentModel>, programs: \Closure(): array<string, EquipmentModel>}|null
     */
    private static function written(): ?array
    {
        /**
         * @var array{stamp: string, make: \Closure(): array<string, EquipmentModel>,
         *     programs: \Closure(): array<string, EquipmentModel>}|false $written
         */
        $written = is_file(self::path()) ? include self::path() : false;

        return is_array($written) && $written['stamp'] === self::stamp() ? $written : null;
    }

    private static function kept(): Catalogue
    {
        $written = self::written();
        if ($written !== null) {
            return Catalogue::holding($written['make']());
        }
        $stamp = self::stamp();
        $kept = Packed::get('catalogue');
        if (is_array($kept) && $kept['stamp'] === $stamp && $kept['catalogue'] instanceof Catalogue) {
            return $kept['catalogue'];
        }
        $made = self::read();
        Packed::put('catalogue', ['stamp' => $stamp, 'catalogue' => $made], self::SECONDS);

        return $made;
    }

    private static function read(): Catalogue
    {
        $files = glob(resource_path('catalogue/*.json')) ?: [];

        return Catalogue::of((function () use ($files) {
            foreach ($files as $file) {
                yield basename($file, '.json') => (string) file_get_contents($file);
            }
        })());
    }

    /** @return array<string, EquipmentModel> the catalogue's models and a user's own, by id */
    public static function with(User $user): array
    {
        return self::catalogue()->models + self::ownOf($user);
    }

    /** @return array<string, EquipmentModel> the programs among them, by id; the others need not be made for it */
    public static function programsWith(User $user): array
    {
        $written = self::$catalogue === null ? self::written() : null;

        return ($written === null ? self::programsOf(self::catalogue()->models) : $written['programs']())
            + self::programsOf(self::ownOf($user));
    }

    /**
     * @param  array<string, EquipmentModel>  $models  by id
     * @return array<string, EquipmentModel> by id
     */
    private static function programsOf(array $models): array
    {
        return array_filter($models, fn (EquipmentModel $model) => $model->isProgram());
    }

    /** @return array<string, EquipmentModel> by id */
    public static function ownOf(User $user): array
    {
        $models = [];
        foreach ($user->ownModels()->orderBy('key')->get() as $own) {
            $models[$own->key] = $own->model();
        }

        return array_filter($models);
    }
}
