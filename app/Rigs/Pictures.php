<?php

declare(strict_types=1);

namespace App\Rigs;

use App\Models\Picture;
use App\Models\Rig;
use App\Models\User;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;

/**
 * Pictures of how units are set. Whatever comes in is read as a picture and written anew, smaller, as a JPEG under a name of our own:
 * nothing of the file that came is kept.
 */
final class Pictures
{
    public const MAX_BYTES = 8 * 1024 * 1024;

    /** More pixels than any camera on a desk has; a picture that unpacks to more is refused before it is unpacked. */
    private const MAX_PIXELS = 50_000_000;

    private const LONGEST_SIDE = 1600;

    private const QUALITY = 82;

    /**
     * @param  string  $bytes  the file as it came
     *
     * @throws UnreadablePicture with what is wrong
     */
    public function keep(Rig $rig, string $unit, User $by, string $bytes, string $caption): Picture
    {
        $image = $this->read($bytes);
        [$width, $height] = [imagesx($image), imagesy($image)];
        $scale = min(1, self::LONGEST_SIDE / max($width, $height));
        $small = imagecreatetruecolor(max(1, (int) round($width * $scale)), max(1, (int) round($height * $scale)));
        // What is transparent becomes white, not black.
        imagefill($small, 0, 0, (int) imagecolorallocate($small, 255, 255, 255));
        imagecopyresampled($small, $image, 0, 0, 0, 0, imagesx($small), imagesy($small), $width, $height);
        ob_start();
        imagejpeg($small, null, self::QUALITY);
        $jpeg = (string) ob_get_clean();
        $picture = $rig->pictures()->make([
            'unit' => $unit,
            'user_id' => $by->id,
            'caption' => $caption,
            'file' => Str::lower(Str::random(40)),
            'width' => imagesx($small),
            'height' => imagesy($small),
        ]);
        Storage::disk('local')->put($picture->path(), $jpeg);
        $picture->save();

        return $picture;
    }

    public function remove(Picture $picture): void
    {
        $picture->delete();
        Storage::disk('local')->delete($picture->path());
    }

    /** Deletes the files of a rig that is gone. */
    public function forget(int $rig): void
    {
        Storage::disk('local')->deleteDirectory("pictures/{$rig}");
    }

    /** @throws UnreadablePicture */
    private function read(string $bytes): \GdImage
    {
        $size = strlen($bytes) > self::MAX_BYTES
            ? throw new UnreadablePicture('The picture is larger than 8 MB.')
            : @getimagesizefromstring($bytes);
        if ($size === false || ! in_array($size[2], [IMAGETYPE_JPEG, IMAGETYPE_PNG, IMAGETYPE_WEBP], true)) {
            throw new UnreadablePicture('This is no JPEG, PNG or WebP picture.');
        }
        if ($size[0] * $size[1] > self::MAX_PIXELS || $size[0] < 1 || $size[1] < 1) {
            throw new UnreadablePicture('The picture has too many pixels: 50 million at most.');
        }
        $image = @imagecreatefromstring($bytes);

        return $image instanceof \GdImage ? $image : throw new UnreadablePicture('The picture is damaged; it can\'t be read.');
    }
}
