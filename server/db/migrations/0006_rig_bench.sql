CREATE TABLE `ladders` (
	`owner_id` text NOT NULL,
	`place_id` text NOT NULL,
	`at` text NOT NULL,
	`rungs` text NOT NULL,
	PRIMARY KEY(`owner_id`, `place_id`),
	FOREIGN KEY (`owner_id`) REFERENCES `anglers`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`place_id`) REFERENCES `places`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
ALTER TABLE `anglers` ADD `schools` text DEFAULT '{}' NOT NULL;