<?php

declare(strict_types=1);

namespace App\Rigs;

use Illuminate\Contracts\Cache\Lock;
use Illuminate\Contracts\Cache\LockProvider;
use Illuminate\Support\Facades\Cache;

/** What is done once at a time, on whichever web server it is asked for (`CACHE_SHARED`). */
final class Turn
{
    /** @param  int  $seconds  after which it ends by itself */
    public static function of(string $name, int $seconds): Lock
    {
        $store = Cache::store(config('cache.shared'))->getStore();
        assert($store instanceof LockProvider, 'Each store that can be configured has locks');

        return $store->lock($name, $seconds);
    }
}
