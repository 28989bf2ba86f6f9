<?php

declare(strict_types=1);

namespace App\Rigs;

use App\Models\Picture;
use App\Models\Rig;
use App\Models\User;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;
use Intervention\Image\Drivers\Gd\Driver;
use Intervention\Image\Exceptions\RuntimeException;
use Intervention\Image\ImageManager;
use Intervention\Image\Interfaces\ImageInterface;

/**
 * Pictures of how units are set. Whatever comes in is read as a picture and written anew, smaller, as a JPEG under a name of our own:
 * nothing of the file that came is kept.
 */
final class Pictures
{
    public const MAX_BYTES = 8 * 1024 * 1024;

    /** What one picture may take while it is read, in pixels of four bytes; more is refused before it is unpacked. */
    private const MAX_PIXELS = 40_000_000;

    private const MEMORY = '512M';

    /** How long one person's picture keeps their next one waiting, at the most. */
    private const SECONDS = 30;

    private const LONGEST_SIDE = 1600;

    private const QUALITY = 82;

    /**
     * @param  string  $bytes  the file as it came
     *
     * @throws UnreadablePicture with what is wrong
     */
    public function keep(Rig $rig, string $unit, User $by, string $bytes, string $caption): Picture
    {
        // One at a time for each person: reading takes memory.
        $lock = Turn::of("picture:{$by->id}", self::SECONDS);
        if (! $lock->get()) {
            throw new UnreadablePicture('Another picture of yours is being read. Try again in a moment.');
        }
        try {
            return $this->kept($rig, $unit, $by, $bytes, $caption);
        } finally {
            $lock->release();
        }
    }

    private function kept(Rig $rig, string $unit, User $by, string $bytes, string $caption): Picture
    {
        Memory::raise(self::MEMORY);
        $image = $this->read($bytes)->scaleDown(self::LONGEST_SIDE, self::LONGEST_SIDE);
        $jpeg = $image->toJpeg(self::QUALITY)->toString();
        $picture = $rig->pictures()->make([
            'unit' => $unit,
            'user_id' => $by->id,
            'caption' => $caption,
            'file' => Str::lower(Str::random(40)),
            'width' => $image->width(),
            'height' => $image->height(),
        ]);
        Storage::put($picture->path(), $jpeg);
        $picture->save();

        return $picture;
    }

    public function remove(Picture $picture): void
    {
        $picture->delete();
        Storage::delete($picture->path());
    }

    /** Deletes the files of a rig that is gone. */
    public function forget(int $rig): void
    {
        Storage::deleteDirectory("pictures/{$rig}");
    }

    /**
     * Upright, as the camera says that it was held; what is transparent is white.
     *
     * @throws UnreadablePicture
     */
    private function read(string $bytes): ImageInterface
    {
        $size = strlen($bytes) > self::MAX_BYTES
            ? throw new UnreadablePicture('The picture is larger than 8 MB.')
            : @getimagesizefromstring($bytes);
        if ($size === false || ! in_array($size[2], [IMAGETYPE_JPEG, IMAGETYPE_PNG, IMAGETYPE_WEBP], true)) {
            throw new UnreadablePicture('This is no JPEG, PNG or WebP picture.');
        }
        if ($size[0] * $size[1] > self::MAX_PIXELS || $size[0] < 1 || $size[1] < 1) {
            throw new UnreadablePicture('The picture has too many pixels: 40 million at most.');
        }
        // Half a JPEG is read as a picture with a grey end: its end mark has to come after its last scan.
        $isWhole = $size[2] !== IMAGETYPE_JPEG || strrpos($bytes, "\xFF\xD9") > strrpos($bytes, "\xFF\xDA");
        try {
            return $isWhole ? (new ImageManager(new Driver, decodeAnimation: false, blendingColor: 'ffffff'))->read($bytes)
                : throw new UnreadablePicture('The picture is damaged; it can\'t be read.');
        } catch (RuntimeException) {
            throw new UnreadablePicture('The picture is damaged; it can\'t be read.');
        }
    }
}
