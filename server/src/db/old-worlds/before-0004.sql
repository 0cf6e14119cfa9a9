CREATE TABLE `bookings` (
  `id` char(36) CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL,
  `studioId` char(36) CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL,
  `classId` char(36) CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL,
  `personId` char(36) CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL,
  `today` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL CHECK (json_valid(`today`)),
  `todayNote` varchar(500) NOT NULL,
  `choices` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL CHECK (json_valid(`choices`)),
  `createdAt` datetime(3) NOT NULL,
  `updatedAt` datetime(3) NOT NULL,
  PRIMARY KEY (`id`),
  UNIQUE KEY `bookings_class_id_person_id` (`classId`,`personId`),
  KEY `studioId` (`studioId`),
  KEY `personId` (`personId`),
  CONSTRAINT `bookings_ibfk_1` FOREIGN KEY (`studioId`) REFERENCES `studios` (`id`) ON DELETE CASCADE,
  CONSTRAINT `bookings_ibfk_2` FOREIGN KEY (`classId`) REFERENCES `classes` (`id`) ON DELETE CASCADE,
  CONSTRAINT `bookings_ibfk_3` FOREIGN KEY (`personId`) REFERENCES `people` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
INSERT INTO `bookings` VALUES ('ff8544ba-04ac-4636-ac70-b381c83dc59f','bd28675e-3609-4bd4-b717-15acfe346ebe','5eee0aab-aeea-43a8-9d93-d64fda6d7d15','23ad4fff-5647-4c06-849a-33215d34abc2','[{\"caution\":\"wrist\",\"clearedBy\":\"\",\"note\":\"\"}]','wrist sore','{\"a\":{\"kind\":\"rest\"}}','2026-11-28 11:48:35.169','2026-11-28 11:48:35.198');
CREATE TABLE `class_events` (
  `seq` int(11) NOT NULL AUTO_INCREMENT,
  `eventId` varchar(64) NOT NULL,
  `studioId` char(36) CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL,
  `classId` char(36) CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL,
  `event` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL CHECK (json_valid(`event`)),
  `createdAt` datetime(3) NOT NULL,
  PRIMARY KEY (`seq`),
  UNIQUE KEY `class_events_class_id_event_id` (`classId`,`eventId`),
  KEY `studioId` (`studioId`),
  CONSTRAINT `class_events_ibfk_1` FOREIGN KEY (`studioId`) REFERENCES `studios` (`id`) ON DELETE CASCADE,
  CONSTRAINT `class_events_ibfk_2` FOREIGN KEY (`classId`) REFERENCES `classes` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB AUTO_INCREMENT=9 DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
INSERT INTO `class_events` VALUES (1,'event-0001','bd28675e-3609-4bd4-b717-15acfe346ebe','5eee0aab-aeea-43a8-9d93-d64fda6d7d15','{\"type\":\"start\",\"id\":\"event-0001\",\"atMs\":1795716960000}','2026-11-28 11:48:35.231');
INSERT INTO `class_events` VALUES (2,'event-0002','bd28675e-3609-4bd4-b717-15acfe346ebe','5eee0aab-aeea-43a8-9d93-d64fda6d7d15','{\"type\":\"next\",\"id\":\"event-0002\",\"atMs\":1795717020000}','2026-11-28 11:48:35.231');
INSERT INTO `class_events` VALUES (3,'event-0003','bd28675e-3609-4bd4-b717-15acfe346ebe','5eee0aab-aeea-43a8-9d93-d64fda6d7d15','{\"type\":\"next\",\"id\":\"event-0003\",\"atMs\":1795717080000}','2026-11-28 11:48:35.231');
INSERT INTO `class_events` VALUES (4,'event-0004','bd28675e-3609-4bd4-b717-15acfe346ebe','5eee0aab-aeea-43a8-9d93-d64fda6d7d15','{\"type\":\"back\",\"id\":\"event-0004\",\"atMs\":1795717140000}','2026-11-28 11:48:35.231');
INSERT INTO `class_events` VALUES (5,'event-0005','bd28675e-3609-4bd4-b717-15acfe346ebe','5eee0aab-aeea-43a8-9d93-d64fda6d7d15','{\"type\":\"next\",\"id\":\"event-0005\",\"atMs\":1795717200000}','2026-11-28 11:48:35.231');
INSERT INTO `class_events` VALUES (6,'event-0006','bd28675e-3609-4bd4-b717-15acfe346ebe','5eee0aab-aeea-43a8-9d93-d64fda6d7d15','{\"type\":\"next\",\"id\":\"event-0006\",\"atMs\":1795717260000}','2026-11-28 11:48:35.231');
INSERT INTO `class_events` VALUES (7,'event-0007','bd28675e-3609-4bd4-b717-15acfe346ebe','5eee0aab-aeea-43a8-9d93-d64fda6d7d15','{\"type\":\"note\",\"itemId\":\"c\",\"text\":\"Asha was tired\",\"id\":\"event-0007\",\"atMs\":1795717320000}','2026-11-28 11:48:35.231');
INSERT INTO `class_events` VALUES (8,'event-0008','bd28675e-3609-4bd4-b717-15acfe346ebe','5eee0aab-aeea-43a8-9d93-d64fda6d7d15','{\"type\":\"end\",\"id\":\"event-0008\",\"atMs\":1795717380000}','2026-11-28 11:48:35.231');
CREATE TABLE `class_notes` (
  `classId` char(36) CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL,
  `studioId` char(36) CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL,
  `effort` tinyint(4) DEFAULT NULL,
  `note` text NOT NULL,
  `createdAt` datetime(3) NOT NULL,
  `updatedAt` datetime(3) NOT NULL,
  PRIMARY KEY (`classId`),
  KEY `studioId` (`studioId`),
  CONSTRAINT `class_notes_ibfk_1` FOREIGN KEY (`classId`) REFERENCES `classes` (`id`) ON DELETE CASCADE,
  CONSTRAINT `class_notes_ibfk_2` FOREIGN KEY (`studioId`) REFERENCES `studios` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
INSERT INTO `class_notes` VALUES ('5eee0aab-aeea-43a8-9d93-d64fda6d7d15','bd28675e-3609-4bd4-b717-15acfe346ebe',3,'Calm.','2026-11-28 11:48:35.256','2026-11-28 11:48:35.256');
CREATE TABLE `classes` (
  `id` char(36) CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL,
  `studioId` char(36) CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL,
  `title` varchar(120) NOT NULL,
  `startsAt` datetime(3) NOT NULL,
  `plan` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL CHECK (json_valid(`plan`)),
  `revision` int(11) NOT NULL DEFAULT 1,
  `createdAt` datetime(3) NOT NULL,
  `updatedAt` datetime(3) NOT NULL,
  PRIMARY KEY (`id`),
  KEY `classes_studio_id_starts_at` (`studioId`,`startsAt`),
  CONSTRAINT `classes_ibfk_1` FOREIGN KEY (`studioId`) REFERENCES `studios` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
INSERT INTO `classes` VALUES ('5eee0aab-aeea-43a8-9d93-d64fda6d7d15','bd28675e-3609-4bd4-b717-15acfe346ebe','Morning','2026-11-26 18:15:00.000','{\"format\":\"wrenfern-plan/1\",\"title\":\"Morning\",\"machine\":\"mat\",\"school\":{\"id\":\"ours\",\"name\":\"Ours\",\"why\":\"Our backs.\",\"rules\":{\"breath-first\":\"must\",\"need-before-use\":\"must\",\"still-before-bend\":\"must\",\"unloaded-before-loaded\":\"must\",\"pelvis-sequence\":\"must\",\"low-then-high\":\"should\",\"short-before-long\":\"must\",\"both-then-one\":\"must\",\"parts-then-whole\":\"must\",\"rehearse-then-prop\":\"must\",\"classic-order\":\"off\",\"sides-together\":\"must\",\"counter\":\"must\",\"layers\":\"should\",\"peak-late\":\"should\",\"six-directions\":\"must\",\"body-parts\":\"should\",\"close-soft\":\"must\",\"head-support-out\":\"must\",\"wrist-rest\":\"must\",\"no-pile-up\":\"should\",\"water\":\"should\",\"few-moves\":\"should\",\"prop-blocks\":\"should\",\"machine-blocks\":\"should\",\"face-the-room\":\"should\"},\"weights\":{\"set-up\":1,\"moves\":1,\"effort\":1.5,\"jump\":2,\"load\":2,\"needs\":1,\"sequence\":1,\"counter\":1,\"pile-up\":1,\"wrists\":1,\"props-again\":1,\"new\":1},\"defaults\":{\"pelvis\":\"neutral\",\"breath\":\"patterned\",\"bridge\":\"hinge\",\"stretch\":\"at the end\",\"picks\":\"teacher\",\"dose\":{\"kind\":\"counted\",\"least\":8,\"most\":10},\"travel\":\"down the spine\"},\"effortCeiling\":3.2,\"targets\":{\"directionLeast\":0.05,\"directionMost\":0.5,\"supportLeast\":0.08,\"releaseLeast\":0.12,\"heavyMost\":0.05,\"handsMost\":0.2}},\"targetS\":1800,\"note\":\"\",\"segments\":[{\"id\":\"one\",\"name\":\"One\",\"items\":[{\"kind\":\"exercise\",\"id\":\"a\",\"exercise\":\"plank\",\"restS\":0,\"note\":\"\"},{\"kind\":\"exercise\",\"id\":\"b\",\"exercise\":\"clam\",\"restS\":0,\"note\":\"\"},{\"kind\":\"exercise\",\"id\":\"c\",\"exercise\":\"cat-cow\",\"restS\":0,\"note\":\"\"}]}]}',2,'2026-11-28 11:48:35.080','2026-11-28 11:48:35.145');
INSERT INTO `classes` VALUES ('6f56f4a1-7fc0-4062-a8d8-a05a8d8cd39f','bd28675e-3609-4bd4-b717-15acfe346ebe','Empty','2026-12-03 18:15:00.000','{\"format\":\"wrenfern-plan/1\",\"title\":\"Empty\",\"machine\":\"mat\",\"school\":\"foundations-first\",\"targetS\":1800,\"note\":\"\",\"segments\":[{\"id\":\"arrive\",\"name\":\"Arrive\",\"items\":[]},{\"id\":\"build\",\"name\":\"Build\",\"items\":[]},{\"id\":\"release\",\"name\":\"Release\",\"items\":[]}]}',1,'2026-11-28 11:48:35.270','2026-11-28 11:48:35.270');
CREATE TABLE `exercise_versions` (
  `id` char(36) CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL,
  `studioId` char(36) CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL,
  `slug` varchar(64) NOT NULL,
  `version` int(11) NOT NULL,
  `exercise` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL CHECK (json_valid(`exercise`)),
  `createdAt` datetime(3) NOT NULL,
  PRIMARY KEY (`id`),
  UNIQUE KEY `exercise_versions_studio_id_slug_version` (`studioId`,`slug`,`version`),
  CONSTRAINT `exercise_versions_ibfk_1` FOREIGN KEY (`studioId`) REFERENCES `studios` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
CREATE TABLE `migrations` (
  `name` varchar(255) NOT NULL,
  PRIMARY KEY (`name`),
  UNIQUE KEY `name` (`name`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb3 COLLATE=utf8mb3_unicode_ci;
INSERT INTO `migrations` VALUES ('0001-first-tables');
INSERT INTO `migrations` VALUES ('0002-studio-exercises');
INSERT INTO `migrations` VALUES ('0003-studio-schools');
CREATE TABLE `people` (
  `id` char(36) CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL,
  `studioId` char(36) CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL,
  `name` varchar(80) NOT NULL,
  `record` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL CHECK (json_valid(`record`)),
  `createdAt` datetime(3) NOT NULL,
  `updatedAt` datetime(3) NOT NULL,
  PRIMARY KEY (`id`),
  KEY `studioId` (`studioId`),
  CONSTRAINT `people_ibfk_1` FOREIGN KEY (`studioId`) REFERENCES `studios` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
INSERT INTO `people` VALUES ('23ad4fff-5647-4c06-849a-33215d34abc2','bd28675e-3609-4bd4-b717-15acfe346ebe','Asha Delun','{\"level\":3,\"usualOptions\":{},\"holds\":{},\"cautions\":[{\"caution\":\"wrist\",\"clearedBy\":\"\",\"note\":\"since the fall\"}],\"note\":\"lives alone\"}','2026-11-28 11:48:35.063','2026-11-28 11:48:35.063');
CREATE TABLE `sessions` (
  `sid` varchar(64) NOT NULL,
  `expires` datetime DEFAULT NULL,
  `data` text DEFAULT NULL,
  `createdAt` datetime(3) NOT NULL,
  `updatedAt` datetime(3) NOT NULL,
  PRIMARY KEY (`sid`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
INSERT INTO `sessions` VALUES ('msniz4QVALxSofwDl1kPs8u5PdlAcyXu','2026-12-28 11:48:35','{\"cookie\":{\"originalMaxAge\":2592000000,\"expires\":\"2026-12-28T11:48:34.997Z\",\"secure\":false,\"httpOnly\":true,\"path\":\"/\",\"sameSite\":\"lax\"},\"member\":{\"userId\":\"9474cdfd-bda8-420a-b5c7-f4a666881478\",\"studioId\":\"bd28675e-3609-4bd4-b717-15acfe346ebe\",\"role\":\"owner\"}}','2026-11-28 11:48:34.995','2026-11-28 11:48:35.273');
CREATE TABLE `studios` (
  `id` char(36) CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL,
  `slug` varchar(64) NOT NULL,
  `name` varchar(120) NOT NULL,
  `isDemo` tinyint(1) NOT NULL DEFAULT 0,
  `timeZone` varchar(64) NOT NULL,
  `cupboard` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL CHECK (json_valid(`cupboard`)),
  `pace` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL CHECK (json_valid(`pace`)),
  `createdAt` datetime(3) NOT NULL,
  `updatedAt` datetime(3) NOT NULL,
  `schools` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin DEFAULT NULL CHECK (json_valid(`schools`)),
  PRIMARY KEY (`id`),
  UNIQUE KEY `slug` (`slug`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
INSERT INTO `studios` VALUES ('bd28675e-3609-4bd4-b717-15acfe346ebe','studio-4b46023b','Old Yard',0,'Europe/Lisbon','{\"block\":3}','{\"teaching\":\"steady\",\"setUpFactor\":1,\"teachingFactor\":1,\"tempoFactors\":{}}','2026-11-28 11:48:34.978','2026-11-28 11:48:35.034','[{\"id\":\"ours\",\"name\":\"Ours\",\"why\":\"Our backs.\",\"rules\":{\"breath-first\":\"must\",\"need-before-use\":\"must\",\"still-before-bend\":\"must\",\"unloaded-before-loaded\":\"must\",\"pelvis-sequence\":\"must\",\"low-then-high\":\"should\",\"short-before-long\":\"must\",\"both-then-one\":\"must\",\"parts-then-whole\":\"must\",\"rehearse-then-prop\":\"must\",\"classic-order\":\"off\",\"sides-together\":\"must\",\"counter\":\"must\",\"layers\":\"should\",\"peak-late\":\"should\",\"six-directions\":\"must\",\"body-parts\":\"should\",\"close-soft\":\"must\",\"head-support-out\":\"must\",\"wrist-rest\":\"must\",\"no-pile-up\":\"should\",\"water\":\"should\",\"few-moves\":\"should\",\"prop-blocks\":\"should\",\"machine-blocks\":\"should\",\"face-the-room\":\"should\"},\"weights\":{\"set-up\":1,\"moves\":1,\"effort\":1.5,\"jump\":2,\"load\":2,\"needs\":1,\"sequence\":1,\"counter\":1,\"pile-up\":1,\"wrists\":1,\"props-again\":1,\"new\":1},\"defaults\":{\"pelvis\":\"neutral\",\"breath\":\"patterned\",\"bridge\":\"hinge\",\"stretch\":\"at the end\",\"picks\":\"teacher\",\"dose\":{\"kind\":\"counted\",\"least\":8,\"most\":10},\"travel\":\"down the spine\"},\"effortCeiling\":3.2,\"targets\":{\"directionLeast\":0.05,\"directionMost\":0.5,\"supportLeast\":0.08,\"releaseLeast\":0.12,\"heavyMost\":0.05,\"handsMost\":0.2}}]');
CREATE TABLE `users` (
  `id` char(36) CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL,
  `studioId` char(36) CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL,
  `email` varchar(190) NOT NULL,
  `name` varchar(120) NOT NULL,
  `passwordHash` varchar(255) NOT NULL,
  `role` varchar(16) NOT NULL,
  `createdAt` datetime(3) NOT NULL,
  `updatedAt` datetime(3) NOT NULL,
  PRIMARY KEY (`id`),
  UNIQUE KEY `email` (`email`),
  KEY `studioId` (`studioId`),
  CONSTRAINT `users_ibfk_1` FOREIGN KEY (`studioId`) REFERENCES `studios` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
INSERT INTO `users` VALUES ('9474cdfd-bda8-420a-b5c7-f4a666881478','bd28675e-3609-4bd4-b717-15acfe346ebe','ida@old.example','Ida','$argon2id$v=19$m=19456,t=2,p=1$FwO3TlnmAE4KmxEHipWaTw$7dQc4rbJAGnDmvqaK4lbWx2F+k/rL3YNQMynBsMWTRE','owner','2026-11-28 11:48:34.985','2026-11-28 11:48:34.985');
