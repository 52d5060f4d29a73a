# One way to declare a module, so that every one of our targets is held to the same warnings.

add_library(machair_strict INTERFACE)
# Errors where we work and check. What users build is not stopped by a warning, and GCC 12's wrong ones of its own
# std::string at -O3 (its bugs 105329, 105651 and their like) are left out there.
target_compile_options(machair_strict INTERFACE -Wall -Wextra -Wconversion -Wshadow -Wpedantic
  # Clang blames std::ranges::stable_sort of GCC 12's library on whoever instantiates it.
  $<$<CXX_COMPILER_ID:Clang>:-Wno-deprecated-declarations> $<$<NOT:$<CONFIG:Release>>:-Werror>
  "$<$<AND:$<CONFIG:Release>,$<CXX_COMPILER_ID:GNU>>:-Wno-stringop-overflow;-Wno-stringop-overread;-Wno-array-bounds;-Wno-restrict>")
find_program(LLD ld.lld)
if(LLD AND CMAKE_CXX_COMPILER_ID MATCHES "GNU|Clang")
  target_link_options(machair_strict INTERFACE -fuse-ld=lld)
endif()
if(MACHAIR_SANITIZE)
  # What is undefined ends the test: a line that nobody reads mends nothing.
  target_compile_options(machair_strict INTERFACE -fsanitize=address,undefined -fno-sanitize-recover=undefined -fno-omit-frame-pointer)
  target_link_options(machair_strict INTERFACE -fsanitize=address,undefined)
endif()
if(MACHAIR_FUZZ)
  target_compile_options(machair_strict INTERFACE -fsanitize=fuzzer-no-link,address,undefined -fno-sanitize-recover=undefined -fno-omit-frame-pointer)
  target_link_options(machair_strict INTERFACE -fsanitize=address,undefined)
endif()
# The standard library's own assertions stay on where we work and check: an index past the end stops there.
target_compile_definitions(machair_strict INTERFACE $<$<NOT:$<CONFIG:Release>>:_GLIBCXX_ASSERTIONS>)

# What is undefined in numbers (overflows, an index outside an array, a double that no integer holds, an enumerator that isn't
# one) ends a check at once, in everything that reckons, reads or writes: a fifth more time to compile, and no library to link.
# It ends it without a word; the preset "asan" says where, and looks at memory as well.
set(MACHAIR_TRAPS "")
if(NOT MACHAIR_SANITIZE AND NOT MACHAIR_FUZZ AND CMAKE_CXX_COMPILER_ID STREQUAL "GNU")
  set(MACHAIR_TRAPS
    $<$<NOT:$<CONFIG:Release>>:-fsanitize=signed-integer-overflow,bounds,float-cast-overflow,bool,enum,shift,return,integer-divide-by-zero>
    $<$<NOT:$<CONFIG:Release>>:-fsanitize-undefined-trap-on-error>)
endif()

# machair_together(TARGET SIZE): so many of its sources are compiled as one. Most of a source's time goes into the headers and
# the variants that each instantiates anew, and the checks have 15 minutes on two cores. What it includes is then not proven
# to be enough: the preset "apart" does that.
function(machair_together target size)
  if(MACHAIR_UNITY)
    set_target_properties(${target} PROPERTIES UNITY_BUILD ON UNITY_BUILD_BATCH_SIZE ${size})
    # A source's own types look like a header's to GCC when several are read as one.
    target_compile_options(${target} PRIVATE $<$<CXX_COMPILER_ID:GNU>:-Wno-subobject-linkage>)
  endif()
endfunction()

# machair_quick_to_build(TARGET): what is compiled often and run once; its own code takes no time that matters.
function(machair_quick_to_build target)
  target_compile_options(${target} PRIVATE $<$<NOT:$<CONFIG:Release>>:-O0>)
endfunction()

# machair_module(NAME SOURCES … DEPENDS …): a static library that other modules include as "folder/header.h".
function(machair_module name)
  cmake_parse_arguments(ARG "" "" "SOURCES;DEPENDS" ${ARGN})
  add_library(${name} STATIC ${ARG_SOURCES})
  target_include_directories(${name} PUBLIC ${PROJECT_SOURCE_DIR}/core ${PROJECT_SOURCE_DIR})
  target_link_libraries(${name} PUBLIC ${ARG_DEPENDS} PRIVATE machair_strict)
  target_compile_options(${name} PRIVATE ${MACHAIR_TRAPS})
  machair_together(${name} 6)
endfunction()
