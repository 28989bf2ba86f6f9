<?php

declare(strict_types=1);

namespace ZipStream;

/**
 * What the spreadsheet library needs of the package of this name, which asks for a newer PHP than ours: files go into an archive that is
 * written to a stream at the end. composer.json says that this replaces it; once PHP is newer, both lines go and the package comes.
 */
final class ZipStream
{
    /** @var array<string, string> by name */
    private array $files = [];

    /**
     * @param  resource  $outputStream
     * @param  bool  $enableZip64  as the package has them: an archive of ours is small, and the rest is about HTTP
     */
    public function __construct(
        private $outputStream,
        bool $enableZip64 = true,
        bool $sendHttpHeaders = false,
        bool $defaultEnableZeroHeader = false,
    ) {
    }

    public function addFile(string $fileName, string $data): void
    {
        $this->files[$fileName] = $data;
    }

    /** Writes the archive. @return int its bytes */
    public function finish(): int
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'zip');
        try {
            $zip = new \ZipArchive;
            if ($zip->open($file, \ZipArchive::OVERWRITE) !== true) {
                throw new \RuntimeException('No archive can be begun in '.sys_get_temp_dir().'.');
            }
            // OpenDocument wants its kind first, and readable.
            foreach (array_intersect_key($this->files, ['mimetype' => true]) + $this->files as $name => $data) {
                $zip->addFromString($name, $data);
                $name === 'mimetype' && $zip->setCompressionName($name, \ZipArchive::CM_STORE);
            }
            $zip->close();

            return (int) fwrite($this->outputStream, (string) file_get_contents($file));
        } finally {
            @unlink($file);
        }
    }
}
