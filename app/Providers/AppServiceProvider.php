<?php

declare(strict_types=1);

namespace App\Providers;

use App\Exports\Paper;
use App\Http\Throttles;
use HiddenWire\Core\Quantity\Bounds;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Foundation\AliasLoader;
use Illuminate\Support\ServiceProvider;

final class AppServiceProvider extends ServiceProvider
{
    public function boot(): void
    {
        // The PDF library's own face is one that readers have to bring along; ours is embedded.
        defined('K_TCPDF_EXTERNAL_CONFIG') || define('K_TCPDF_EXTERNAL_CONFIG', true);
        defined('PDF_FONT_NAME_MAIN') || define('PDF_FONT_NAME_MAIN', Paper::FONT);
        // A query in a loop, or a column that a query left out, is an error here and not a slow page or a silent null.
        Model::shouldBeStrict();
        Throttles::define();
        // Forms go by the same lengths and ranges as the format.
        AliasLoader::getInstance()->alias('Bounds', Bounds::class);
    }
}
