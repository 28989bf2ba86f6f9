<?php

declare(strict_types=1);

namespace App\Providers;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\ServiceProvider;

final class AppServiceProvider extends ServiceProvider
{
    public function boot(): void
    {
        // A query in a loop, or a column that a query left out, is an error here and not a slow page or a silent null.
        Model::shouldBeStrict();
    }
}
