<?php

declare(strict_types=1);

namespace Harmozon\Core\Equipment;

/** An adapter's condition, certification and approval. Null: not checked. */
final readonly class AdapterTrust
{
    use CopyWithChanges;

    public function __construct(
        public ?Certification $certification = null,
        public ?bool $makerApproved = null,
        public ?bool $recalled = null,
        public ?bool $damaged = null,
        public ?bool $testOverdue = null,
        public ?string $certificateNumber = null,
    ) {
    }

    /** What is known stays; the rest is taken for sound. */
    public function soundIfUnknown(): self
    {
        return $this->with(
            certification: $this->certification ?? Certification::Certified,
            makerApproved: $this->makerApproved ?? true,
            recalled: $this->recalled ?? false,
            damaged: $this->damaged ?? false,
        );
    }

    /** In the condition of a new one from the shop; the last test stays as it is. */
    public function asNew(): self
    {
        return $this->with(certification: Certification::Certified, makerApproved: true, recalled: false, damaged: false);
    }
}
